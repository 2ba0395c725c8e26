package dev.oleander.web.api;

import dev.oleander.web.job.JobService;
import dev.oleander.web.nest.NestFiles;
import dev.oleander.web.nest.NestPapers;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Files of a nest, for programs. */
@RestController
@RequestMapping("/api/nests/{id}")
class NestFilesApi extends NestFiles {

    NestFilesApi(JobService jobs, NestPapers papers) {
        super(jobs, papers);
    }
}
