package dev.oleander.web.release;

import java.util.List;
import java.util.Optional;
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

    /** What has to be known of a whole program to tell whether it still is the job's. */
    interface Whole {
        Long getId();

        int getRun();

        String getRevision();

        String getDialect();

        int getDialectVersion();

        String getInputs();
    }

    /** Whole programs of the step that was released last, the newest first. */
    @Query(
            "select r.id as id, r.run as run, r.revision as revision, r.dialect as dialect,"
                    + " r.dialectVersion as dialectVersion, r.inputs as inputs from Release r"
                    + " where r.jobId = :job and not r.trial and r.step = (select l.step from"
                    + " Release l where l.id = (select max(n.id) from Release n where"
                    + " n.jobId = :job and not n.trial)) order by r.id desc")
    List<Whole> ofLatestStep(long job);

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
