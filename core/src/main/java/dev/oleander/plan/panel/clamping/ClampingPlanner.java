package dev.oleander.plan.panel.clamping;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.clamping.Decision.Refused;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Decides how a panel is clamped: of all sets of at most three ways to lie the one that refuses
 * least, then has the fewest clampings, keeps faces that will be seen from harm, makes what must
 * fit each other in one clamping, and turns the panel least. What a person wishes holds whatever it
 * costs; {@link Cost} tells what.
 */
public final class ClampingPlanner {

    private static final List<Lying> LYINGS = Lying.all();
    private static final int MOST = 3;

    private final Panel panel;
    private final PanelMachine machine;
    private final ClampingWishes wishes;
    private final Ability ability;

    /** For each feature, as bits, the ways to lie in which it can be made. */
    private final List<Integer> possible;

    private ClampingPlanner(Panel panel, PanelMachine machine, ClampingWishes wishes) {
        this.panel = panel;
        this.machine = machine;
        this.wishes = wishes;
        this.ability = new Ability(panel, machine);
        this.possible = panel.features().stream().map(this::waysOf).toList();
    }

    public static Decision decide(Panel panel, PanelMachine machine, ClampingWishes wishes) {
        boolean nothing = !panel.isMade() || panel.features().isEmpty();
        return nothing ? Decision.NOTHING : new ClampingPlanner(panel, machine, wishes).decide();
    }

    private int waysOf(PanelFeature feature) {
        Face wished = wishes.features().get(feature.id());
        return IntStream.range(0, LYINGS.size())
                .filter(i -> wished == null || LYINGS.get(i).up() == wished)
                .filter(i -> ability.whyNot(feature, LYINGS.get(i)).isEmpty())
                .map(i -> 1 << i)
                .sum();
    }

    private Decision decide() {
        List<Integer> best = best();
        List<Clamped> clamped = new Sharing(panel, LYINGS, possible).share(best, wishes);
        List<Refused> refused = refused(best);
        Reasons reasons = new Reasons(panel, wishes, refused.size());
        List<Clamping> clampings = new ArrayList<>();
        for (Clamped one : clamped) {
            List<Face> before =
                    clampings.isEmpty()
                            ? List.of()
                            : clampings.get(clampings.size() - 1).reference();
            clampings.add(
                    new Clamping(
                            one.lying(),
                            References.of(panel, one, before),
                            one.features().stream().map(PanelFeature::id).toList(),
                            reasons.of(one, clamped.size())));
        }
        return new Decision(clampings, refused, reasons.ofAll(clamped));
    }

    private List<Integer> best() {
        List<List<Integer>> sets = new ArrayList<>();
        sets.add(List.of());
        gather(List.of(), sets);
        return sets.stream()
                .filter(this::isAllowed)
                .min(
                        Comparator.comparingInt(this::refusals)
                                .thenComparing(s -> s.size())
                                .thenComparing(this::harm)
                                .thenComparing(this::parted)
                                .thenComparing(this::turned))
                .orElse(List.of());
    }

    private void gather(List<Integer> begun, List<List<Integer>> sets) {
        int next = begun.isEmpty() ? 0 : begun.get(begun.size() - 1) + 1;
        for (int i = next; i < LYINGS.size(); i++) {
            List<Integer> longer = new ArrayList<>(begun);
            longer.add(i);
            sets.add(longer);
            if (longer.size() < MOST) {
                gather(longer, sets);
            }
        }
    }

    private boolean isAllowed(List<Integer> set) {
        boolean turns =
                wishes.turn()
                        .map(t -> set.stream().allMatch(i -> LYINGS.get(i).turn() == t))
                        .orElse(true);
        boolean faces =
                wishes.up()
                        .map(up -> set.stream().anyMatch(i -> LYINGS.get(i).up() == up))
                        .orElse(true);
        return turns && (faces || set.isEmpty() && nothingIsPossible());
    }

    private boolean nothingIsPossible() {
        return possible.stream().allMatch(ways -> ways == 0);
    }

    private static int bits(List<Integer> set) {
        return set.stream().mapToInt(i -> 1 << i).sum();
    }

    private int refusals(List<Integer> set) {
        int bits = bits(set);
        return (int) possible.stream().filter(ways -> (ways & bits) == 0).count();
    }

    /** How many clampings cut through with a face up that will be seen, where tools tear it. */
    private int harm(List<Integer> set) {
        boolean through = panel.features().stream().anyMatch(PanelFeature::belongsToNone);
        return (int)
                set.stream()
                        .map(i -> LYINGS.get(i).up())
                        .filter(
                                up ->
                                        panel.show().contains(up)
                                                == (machine.tearsAbove() && through))
                        .count();
    }

    /** How many features with a tolerance cannot be made where most of them are. */
    private int parted(List<Integer> set) {
        List<Integer> precise =
                IntStream.range(0, possible.size())
                        .filter(i -> panel.features().get(i).tolerance().isPresent())
                        .mapToObj(possible::get)
                        .toList();
        int together =
                set.stream()
                        .mapToInt(
                                i -> (int) precise.stream().filter(w -> (w >> i & 1) == 1).count())
                        .max()
                        .orElse(0);
        return precise.size() - together;
    }

    private int turned(List<Integer> set) {
        return set.stream().mapToInt(i -> LYINGS.get(i).turn() + i).sum();
    }

    private List<Refused> refused(List<Integer> set) {
        int bits = bits(set);
        List<Refused> refused = new ArrayList<>();
        for (int i = 0; i < possible.size(); i++) {
            if ((possible.get(i) & bits) == 0) {
                PanelFeature feature = panel.features().get(i);
                refused.add(new Refused(feature.id(), sentence(feature)));
            }
        }
        return refused;
    }

    /** Why the way to lie that would be nearest cannot make it. */
    private String sentence(PanelFeature feature) {
        Face wished = wishes.features().get(feature.id());
        Optional<String> why =
                LYINGS.stream()
                        .filter(l -> wished == null || l.up() == wished)
                        .filter(l -> wishes.turn().map(t -> l.turn() == t).orElse(true))
                        .filter(l -> feature.face().isEdge() || l.up() == feature.face())
                        .findFirst()
                        .or(() -> LYINGS.stream().filter(l -> l.up() == wished).findFirst())
                        .flatMap(l -> ability.whyNot(feature, l));
        return "Panel %s, %s %s: %s."
                .formatted(
                        panel.id(),
                        feature.kind().label(),
                        feature.id(),
                        why.orElse("it cannot be made in the clampings that are wished"));
    }

    /** What is made in one way to lie. */
    record Clamped(Lying lying, List<PanelFeature> features) {}
}
