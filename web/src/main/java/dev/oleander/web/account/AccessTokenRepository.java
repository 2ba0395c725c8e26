package dev.oleander.web.account;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** Tokens of people. */
interface AccessTokenRepository extends JpaRepository<AccessToken, Long> {

    Optional<AccessToken> findByHash(String hash);

    @Query(
            "select t from AccessToken t where t.account.id = ?1 and t.revokedAt is null order by t.id desc")
    List<AccessToken> ofAccount(long account);

    @Modifying
    @Transactional
    @Query("update AccessToken t set t.usedAt = ?2 where t.id = ?1")
    void used(long id, Instant at);
}
