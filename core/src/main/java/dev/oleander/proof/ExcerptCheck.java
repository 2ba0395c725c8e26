package dev.oleander.proof;

import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.ModalGroup;
import dev.oleander.motion.ModalState;
import dev.oleander.motion.Program;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.function.Predicate;

/**
 * Whether some stops of a program, as a program of their own, are worked as in the whole: the same
 * moves, each with all that the machine keeps as it was told. Of how they were taken out it knows
 * nothing.
 */
public final class ExcerptCheck {

    /** A move at a feed and what holds during it. */
    private record Worked(Item.AtFeed move, Map<ModalGroup, ModalState.Held> held) {}

    private ExcerptCheck() {}

    /**
     * @param chosen ids of stops of the whole
     * @return sentences; none when the part does what the whole does there
     */
    public static List<String> faults(Program whole, Predicate<String> chosen, Program part) {
        List<Worked> wanted = worked(whole, chosen);
        List<Worked> done = worked(part, stop -> true);
        List<String> faults = new ArrayList<>();
        if (wanted.size() != done.size()) {
            faults.add(
                    "The stops have %d moves in the whole program and %d in their own."
                            .formatted(wanted.size(), done.size()));
            return faults;
        }
        if (beginsLater(whole, wanted) && turns(whole) && !turnsFirst(part)) {
            faults.add("It does not say first how the rotary axis stands.");
        }
        for (int i = 0; i < wanted.size(); i++) {
            List<String> different = differences(wanted.get(i), done.get(i));
            if (!different.isEmpty()) {
                faults.addAll(different);
                return faults;
            }
        }
        return faults;
    }

    private static boolean beginsLater(Program whole, List<Worked> wanted) {
        Item.AtFeed first =
                whole.items().stream()
                        .filter(Item.AtFeed.class::isInstance)
                        .map(Item.AtFeed.class::cast)
                        .findFirst()
                        .orElse(null);
        return !wanted.isEmpty() && !wanted.get(0).move().equals(first);
    }

    private static boolean turns(Program program) {
        return program.items().stream().anyMatch(ExcerptCheck::isTurn);
    }

    private static boolean turnsFirst(Program part) {
        return part.items().stream()
                .filter(i -> isTurn(i) || i instanceof Item.AtFeed)
                .findFirst()
                .filter(ExcerptCheck::isTurn)
                .isPresent();
    }

    private static boolean isTurn(Item item) {
        return item instanceof Item.Event event && event.kind() == EventKind.INDEX;
    }

    private static List<Worked> worked(Program program, Predicate<String> chosen) {
        List<Worked> worked = new ArrayList<>();
        ModalState state = new ModalState();
        for (Item item : program.items()) {
            state.take(item);
            if (item instanceof Item.AtFeed move && chosen.test(move.origin().stop())) {
                worked.add(new Worked(move, state.held()));
            }
        }
        return worked;
    }

    private static List<String> differences(Worked wanted, Worked done) {
        List<String> faults = new ArrayList<>();
        String stop = wanted.move().origin().stop();
        if (!wanted.move().equals(done.move())) {
            faults.add("Stop %s is not moved as in the whole program.".formatted(stop));
        }
        for (ModalGroup group : ModalGroup.values()) {
            ModalState.Held one = wanted.held().get(group);
            ModalState.Held other = done.held().get(group);
            if (!Objects.equals(one, other)) {
                faults.add(
                        "Stop %s is worked with %s, in the whole program with %s."
                                .formatted(stop, said(group, other), said(group, one)));
            }
        }
        return faults;
    }

    /** As in index turn=90. */
    private static String said(ModalGroup group, ModalState.Held held) {
        if (held == null) {
            return "no " + group.name().toLowerCase(Locale.ROOT);
        }
        StringBuilder said = new StringBuilder(held.kind().word());
        held.args().forEach((k, v) -> said.append(" %s=%s".formatted(k, Numbers.plain(v, 3))));
        return said.toString();
    }
}
