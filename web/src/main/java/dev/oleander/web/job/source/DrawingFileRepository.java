package dev.oleander.web.job.source;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Drawing files by id. */
public interface DrawingFileRepository extends JpaRepository<DrawingFile, Long> {

    /** An id that no file has. */
    @Query(
            value = "select nextval(pg_get_serial_sequence('drawing_file', 'id'))",
            nativeQuery = true)
    long nextId();
}
