package dev.oleander.web.care;

import dev.oleander.web.longwork.Works;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** How much long work waits; down when the queue takes no more. */
@Component("queue")
class QueueHealth implements HealthIndicator {

    private final Works works;

    QueueHealth(Works works) {
        this.works = works;
    }

    @Override
    public Health health() {
        int waiting = works.waiting();
        Health.Builder health = waiting < Works.MOST_WAITING ? Health.up() : Health.down();
        return health.withDetail("waiting", waiting).withDetail("most", Works.MOST_WAITING).build();
    }
}
