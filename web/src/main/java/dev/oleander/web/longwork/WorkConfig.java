package dev.oleander.web.longwork;

import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.Instant;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;

/** All kinds of long work are one task of the scheduler: they share its queue. */
@Configuration
class WorkConfig {

    static final TaskDescriptor<Void> TASK = TaskDescriptor.of("work");

    /** After a node ended in the middle, another one goes on soon. */
    private static final Duration AGAIN = Duration.ofSeconds(1);

    private final Works works;

    WorkConfig(Works works) {
        this.works = works;
    }

    @Bean
    Task<Void> work() {
        return Tasks.oneTime(TASK)
                .onDeadExecutionRevive()
                .onFailure(
                        (complete, operations) ->
                                operations.reschedule(complete, Instant.now().plus(AGAIN)))
                .execute((instance, context) -> works.run(instance.getId()));
    }

    @EventListener
    void closing(ContextClosedEvent end) {
        works.close();
    }
}
