package dev.oleander.web.bench;

import dev.oleander.web.job.store.JobRepository;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.task.TaskExecutor;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/**
 * Plans are kept in memory only. After a start, those of the jobs that people worked on last are
 * made again before somebody asks for them.
 */
@Component
class Recall {

    private static final int MOST = 6;

    private static final Logger LOG = LoggerFactory.getLogger(Recall.class);

    private final JobRepository jobs;
    private final PackedScenes scenes;
    private final TaskExecutor tasks;

    Recall(JobRepository jobs, PackedScenes scenes, TaskExecutor tasks) {
        this.jobs = jobs;
        this.scenes = scenes;
        this.tasks = tasks;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        tasks.execute(this::latest);
    }

    private void latest() {
        for (long id : jobs.findLatestIds(Limit.of(MOST))) {
            try {
                scenes.prepare(id);
            } catch (RuntimeException unreadable) {
                // whoever opens the job is told what is wrong with it
                LOG.warn("Job {} could not be prepared: {}", id, unreadable.getMessage());
            }
        }
    }
}
