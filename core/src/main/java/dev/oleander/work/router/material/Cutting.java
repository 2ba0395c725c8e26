package dev.oleander.work.router.material;

import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg;
import java.util.List;

/**
 * What one tool does at one stop.
 *
 * @param stop its id
 */
public record Cutting(String stop, Tool.Form form, List<Leg> legs) {

    public Cutting {
        legs = legs.stream().filter(Leg::cuts).toList();
    }
}
