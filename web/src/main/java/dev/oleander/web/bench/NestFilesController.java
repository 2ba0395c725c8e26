package dev.oleander.web.bench;

import dev.oleander.web.job.JobService;
import dev.oleander.web.nest.NestFiles;
import dev.oleander.web.nest.NestPapers;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** Files of a nest, for people. */
@Controller
@RequestMapping("/jobs/{id}/nest")
class NestFilesController extends NestFiles {

    NestFilesController(JobService jobs, NestPapers papers) {
        super(jobs, papers);
    }
}
