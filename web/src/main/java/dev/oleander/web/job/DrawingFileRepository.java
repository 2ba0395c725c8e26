package dev.oleander.web.job;

import org.springframework.data.jpa.repository.JpaRepository;

/** Drawing files by id. */
interface DrawingFileRepository extends JpaRepository<DrawingFile, Long> {}
