package dev.oleander.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.drawing.draw.Command;
import dev.oleander.drawing.draw.Commands;
import dev.oleander.drawing.draw.Parameter;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class CommandPlacesTest {

    /** Values by which a command is told what lies nearest, which it need not have. */
    private static final Set<String> NEAREST = Set.of("x", "y");

    @Test
    void placesGiveValuesThatTheCommandHas() {
        for (Command command : Commands.list()) {
            Set<String> names =
                    command.parameters().stream().map(Parameter::name).collect(Collectors.toSet());
            for (CommandPlaces.Place place : CommandPlaces.of(command)) {
                assertThat(place.gives().keySet().stream().filter(n -> !NEAREST.contains(n)))
                        .as(command.word())
                        .isSubsetOf(names);
            }
        }
    }

    @Test
    void whatLiesSomewhereAsksWhere() {
        List<CommandPlaces.Place> ring = CommandPlaces.of(Commands.find("ring").orElseThrow());
        assertThat(ring).extracting(CommandPlaces.Place::asks).containsExactly("where it lies");
        assertThat(CommandPlaces.of(Commands.find("offset").orElseThrow())).isEmpty();
        assertThat(CommandPlaces.of(Commands.find("delete").orElseThrow())).isEmpty();
    }
}
