package dev.oleander.work.router.run;

import dev.oleander.plan.stop.StopWork;
import dev.oleander.work.router.deed.Deed;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.tool.Feeds;
import java.util.List;
import java.util.Optional;

/**
 * What a router does at a stop.
 *
 * @param stop with its ways, in the coordinates of the machine
 * @param feeds empty when it cannot be done
 */
public record RouterWork(RouterStop stop, Deed deed, Optional<Feeds> feeds) implements StopWork {

    @Override
    public List<String> others() {
        List<String> all = stop.features();
        return all.isEmpty() ? all : all.subList(1, all.size());
    }
}
