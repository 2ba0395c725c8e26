package dev.oleander.web.job.store;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Jobs as the board lists them. */
public interface JobRepository extends JpaRepository<Job, Long> {

    /**
     * Jobs whose name or material contains a text, last changed first.
     *
     * @param text in lower case, with the wildcards of LIKE masked; empty: all
     * @param machine id; empty: all
     * @param stage null: all
     */
    @EntityGraph(attributePaths = {"owner", "changedBy"})
    @Query(
            """
            select j from Job j
            where (:text = ''
                or lower(concat(j.name, ' ', j.material)) like concat('%', :text, '%') escape '!')
              and (:machine = '' or j.machine = :machine)
              and (:stage is null or j.stage = :stage)
            order by j.changedAt desc, j.id desc
            """)
    Page<Job> search(String text, String machine, Stage stage, Pageable page);

    /**
     * Jobs of one material and thickness whose name contains a text, last changed first.
     *
     * @param text in lower case, with the wildcards of LIKE masked; empty: all
     */
    @Query(
            """
            select j from Job j
            where lower(j.material) = lower(:material)
              and abs(j.thickness - :thickness) < 0.000001
              and (:text = '' or lower(j.name) like concat('%', :text, '%') escape '!')
            order by j.changedAt desc, j.id desc
            """)
    List<Job> findAlike(String material, double thickness, String text, Limit most);

    /** Number and present step of each. */
    @Query("select j.id, j.pointer from Job j where j.id in :ids")
    List<Object[]> findSteps(Collection<Long> ids);

    /** The job, held until the transaction ends: edits of one job come one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select j from Job j where j.id = :id")
    Optional<Job> findHeldById(long id);

    /** Of the jobs that wait for one of these, those that were changed last. */
    @Query(
            "select j.id from Job j where j.nextAction in :nextActions "
                    + "order by j.changedAt desc, j.id desc")
    List<Long> findIdsByNextAction(List<String> nextActions, Limit most);

    /** Of the jobs that were changed last, the latest first. */
    @Query("select j.id from Job j order by j.changedAt desc, j.id desc")
    List<Long> findLatestIds(Limit most);
}
