package dev.oleander.web.format;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Saved descriptions of formats. */
interface FormatVersionRepository extends JpaRepository<FormatVersion, Long> {

    /** Of a format, the latest first. */
    @Query(
            "select v from FormatVersion v join fetch v.account where v.name = :name order by v.version desc")
    List<FormatVersion> ofName(String name);

    /** The latest of every format. */
    @Query(
            "select v from FormatVersion v where v.version = "
                    + "(select max(w.version) from FormatVersion w where w.name = v.name) order by v.name")
    List<FormatVersion> latest();

    /** Number of the latest save of any format; 0 when there is none. */
    @Query("select coalesce(max(v.id), 0) from FormatVersion v")
    long newest();
}
