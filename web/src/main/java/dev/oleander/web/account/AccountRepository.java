package dev.oleander.web.account;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Accounts by their name. */
public interface AccountRepository extends JpaRepository<Account, Long> {

    Optional<Account> findByUsername(String username);

    boolean existsByDemo(boolean demo);
}
