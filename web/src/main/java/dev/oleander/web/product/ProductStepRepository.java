package dev.oleander.web.product;

import dev.oleander.web.job.document.StaleEditException.Change;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Steps of products. */
interface ProductStepRepository extends JpaRepository<ProductStep, ProductStep.Key> {

    /** The number of the newest; 0 when there is none. */
    @Query(
            "select coalesce(max(s.id.number), 0) from ProductStep s where s.id.productId = :product")
    int last(long product);

    /** Who made a step, and what it is called. */
    @Query(
            """
            select new dev.oleander.web.job.document.StaleEditException$Change(
                s.account.fullName, s.label)
            from ProductStep s
            where s.id.productId = :product and s.id.number = :number
            """)
    Change change(long product, int number);

    /** The newest step made on another one. */
    @Query(
            """
            select s from ProductStep s
            where s.id.productId = :product and s.parent = :parent
            order by s.id.number desc
            limit 1
            """)
    Optional<ProductStep> newestOn(long product, int parent);
}
