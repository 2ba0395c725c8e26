package dev.oleander.web.book;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Changes of cut books. */
interface BookChangeRepository extends JpaRepository<BookChange, Long> {

    /** Of a machine, the earliest first. */
    @Query(
            "select c from BookChange c join fetch c.account where c.machine = :machine order by c.id")
    List<BookChange> ofMachine(String machine);

    /** Number of the latest change of any book; 0 when there is none. */
    @Query("select coalesce(max(c.id), 0) from BookChange c")
    long version();
}
