package dev.oleander.web.job;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Customers by name. */
interface CustomerRepository extends JpaRepository<Customer, String> {

    @Query("select c.name from Customer c order by c.name")
    List<String> names();
}
