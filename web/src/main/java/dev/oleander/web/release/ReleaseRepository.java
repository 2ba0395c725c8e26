package dev.oleander.web.release;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Releases of jobs. */
public interface ReleaseRepository extends JpaRepository<Release, Long> {

    Optional<Release> findFirstByJobIdOrderByIdDesc(long jobId);

    Optional<Release> findFirstByJobIdAndTrialOrderByIdDesc(long jobId, boolean trial);

    /** Trials of a job; one of several runs counts once. */
    @Query("select count(distinct r.revision) from Release r where r.jobId = :job and r.trial")
    long countTrials(long job);

    List<Release> findByJobIdOrderByIdDesc(long jobId);

    List<Release> findTop50ByOrderByIdDesc();

    /** Those that were released together, in the order of the runs. */
    List<Release> findByJobIdAndRevisionOrderByRun(long jobId, String revision);

    /** Numbers of the runs of which there are whole programs of a step. */
    @Query(
            "select distinct r.run from Release r where r.jobId = :job and r.step = :step and not r.trial")
    Set<Integer> runs(long job, int step);

    /** A release by its seal only. */
    interface Hash {
        Long getId();

        String getSha256();
    }

    @Query("select r.id as id, r.sha256 as sha256 from Release r order by r.id")
    List<Hash> hashes();

    /** Releases that the chain of the shop does not know, the earliest first. */
    @Query(
            value =
                    "select id from release where not exists"
                            + " (select 1 from seal_link where release_id = release.id) order by id",
            nativeQuery = true)
    List<Long> idsWithoutLink();
}
