package dev.oleander.web.account;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Accounts by their name. */
public interface AccountRepository extends JpaRepository<Account, Long> {

    Optional<Account> findByUsername(String username);

    boolean existsByDemo(boolean demo);

    List<Account> findByDemo(boolean demo);

    @Query(
            "select a from Account a order by case when a.closedAt is null then 0 else 1 end, a.fullName")
    List<Account> inOrder();
}
