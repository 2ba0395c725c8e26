package dev.oleander.web.seal;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Links in their order. */
interface SealLinkRepository extends JpaRepository<SealLink, Long> {

    Optional<SealLink> findFirstByOrderByPlaceDesc();

    Optional<SealLink> findByReleaseId(long release);

    List<SealLink> findTop200ByPlaceGreaterThanOrderByPlace(long place);

    /** Makes others that add a link wait until the transaction ends. */
    @Query(value = "select cast(pg_advisory_xact_lock(7304150217) as text)", nativeQuery = true)
    String takeTurn();
}
