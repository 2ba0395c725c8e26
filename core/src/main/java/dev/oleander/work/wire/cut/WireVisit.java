package dev.oleander.work.wire.cut;

import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.StopWork;
import java.util.List;

/**
 * What happens between two travels: the wire is threaded, cuts, and is cut.
 *
 * @param stop id of the entry of the run line
 * @param feature and {@code copy} it works on
 * @param role what the visit is for
 * @param steps in their order
 * @param frees whether a piece is free after it
 */
public record WireVisit(
        String stop, String feature, int copy, Role role, List<Step> steps, boolean frees)
        implements StopWork {

    /** Names its feature and copy, which has other visits as well. */
    public String subject() {
        return FeatureKey.of(feature, copy).text();
    }

    /** What a visit is for. */
    public enum Role {
        WHOLE(""),
        ROUGH("rough"),
        MAIN("main"),
        CUT_OFF("cut-off"),
        SKIMS("skims"),
        END("cut-off");

        private final String label;

        Role(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** A part of a visit. */
    public sealed interface Step permits Thread, Cut, Wait, Severed {}

    /** The wire is threaded. */
    public record Thread(Point at) implements Step {}

    /** A pass is run. */
    public record Cut(WireCut cut) implements Step {}

    /**
     * The machine waits for people.
     *
     * @param always else only when the operator has asked for it
     */
    public record Wait(boolean always, double seconds, String reason) implements Step {}

    /** The wire is cut. */
    public record Severed() implements Step {}

    public WireVisit {
        steps = List.copyOf(steps);
    }

    public List<WireCut> cuts() {
        return steps.stream().filter(Cut.class::isInstance).map(s -> ((Cut) s).cut()).toList();
    }

    /** Whether people are needed. */
    public boolean waits() {
        return steps.stream().anyMatch(Wait.class::isInstance);
    }

    /** Where it begins. */
    public Point begin() {
        return steps.stream()
                .filter(Thread.class::isInstance)
                .map(s -> ((Thread) s).at())
                .findFirst()
                .orElseThrow();
    }

    /** Where the wire is cut in the end. */
    public Point end() {
        List<WireCut> cuts = cuts();
        return cuts.isEmpty() ? begin() : cuts.get(cuts.size() - 1).off().orElseThrow();
    }
}
