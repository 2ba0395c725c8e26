package dev.oleander.web.job.store;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Steps of jobs. */
interface JobStepRepository extends JpaRepository<JobStep, JobStep.Key> {

    @Query("select coalesce(max(s.id.number), 0) from JobStep s where s.id.jobId = :job")
    int lastNumber(long job);

    @Query(
            "select s from JobStep s where s.id.jobId = :job and s.parent = :parent "
                    + "order by s.id.number desc limit 1")
    Optional<JobStep> newestChild(long job, int parent);

    /** Steps made after one, oldest first, with the people who made them. */
    @Query(
            "select s from JobStep s join fetch s.account where s.id.jobId = :job "
                    + "and s.id.number > :after order by s.id.number")
    List<JobStep> since(long job, int after);
}
