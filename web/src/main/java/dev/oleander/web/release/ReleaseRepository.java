package dev.oleander.web.release;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Releases of jobs. */
public interface ReleaseRepository extends JpaRepository<Release, Long> {

    Optional<Release> findFirstByJobIdOrderByIdDesc(long jobId);

    Optional<Release> findFirstByJobIdAndTrialOrderByIdDesc(long jobId, boolean trial);

    long countByJobIdAndTrial(long jobId, boolean trial);

    List<Release> findByJobIdOrderByIdDesc(long jobId);

    List<Release> findTop50ByOrderByIdDesc();

    Optional<Release> findByJobIdAndRevision(long jobId, String revision);
}
