package dev.oleander.web.product;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Products as their list shows them. */
interface ProductRepository extends JpaRepository<KeptProduct, Long> {

    /**
     * Those whose name contains a text, last changed first.
     *
     * @param text in lower case, with the wildcards of LIKE masked; empty: all
     */
    @EntityGraph(attributePaths = "changedBy")
    @Query(
            """
            select p from KeptProduct p
            where :text = '' or lower(p.name) like concat('%', :text, '%') escape '!'
            order by p.changedAt desc, p.id desc
            """)
    List<KeptProduct> search(String text, Limit most);

    /** The product, held until the transaction ends: edits come one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from KeptProduct p where p.id = :id")
    Optional<KeptProduct> findHeldById(long id);
}
