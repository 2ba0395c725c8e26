package dev.oleander.work.router.panel;

import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A pocket in two tools: a wide one, and a narrow one for what the wide one leaves in corners and
 * narrows, where that is worth a change.
 *
 * @param first number of the wide one
 * @param then number of the narrow one
 */
record TwoTools(int first, int then) {

    /** Widest mill that pockets are cleared with, mm. */
    private static final double WIDEST = 16;

    /** How much of the narrower way of a pocket the wide tool may be, so that it clears it. */
    private static final double SHARE = 0.6;

    /** mm2 that count as nothing. */
    private static final double NOTHING = 1e-3;

    /**
     * @param limit mm2 that may be left; 0: as little as can be
     * @param deep of the pocket, mm
     * @return empty where one tool is enough, or there is no other
     */
    static Optional<TwoTools> of(Region pocket, double deep, double limit, List<Tool> all) {
        double across = Math.min(pocket.box().width(), pocket.box().height());
        List<Tool> flat =
                all.stream()
                        .filter(t -> t.kind() == ToolKind.STRAIGHT)
                        .filter(t -> t.edges().length() >= deep)
                        .sorted(Comparator.comparingDouble(Tool::diameter).reversed())
                        .toList();
        Optional<Tool> wide =
                flat.stream()
                        .filter(t -> t.diameter() <= Math.min(WIDEST, SHARE * across))
                        .findFirst();
        if (wide.isEmpty() || left(pocket, wide.get()) <= Math.max(limit, NOTHING)) {
            return Optional.empty();
        }
        List<Tool> narrower =
                flat.stream().filter(t -> t.diameter() < wide.get().diameter()).toList();
        return narrower.stream()
                .filter(t -> limit > 0 && left(pocket, t) <= limit)
                .findFirst()
                .or(() -> narrower.stream().reduce((a, b) -> b))
                .map(t -> new TwoTools(wide.get().number(), t.number()));
    }

    /** mm2 of a pocket that a round tool does not reach. */
    static double left(Region pocket, Tool tool) {
        Offsetter offset = Offsetter.round();
        List<Region> reached =
                offset.offset(offset.offset(pocket, -tool.diameter() / 2), tool.diameter() / 2);
        return pocket.area() - reached.stream().mapToDouble(Region::area).sum();
    }
}
