package dev.oleander.work.sheet.proof;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.machine.Machine;
import dev.oleander.motion.Item;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Cuts within the stock, stock within the machine, copies that found no place. */
public final class StockRule implements SheetRule {

    private static final double ROUNDING = 1e-6;

    @Override
    public String id() {
        return "stock";
    }

    @Override
    public String title() {
        return "everything lies on the stock, and the stock within the machine's travel";
    }

    @Override
    public Outcome check(ProofInput input) {
        List<Finding> findings = new ArrayList<>();
        int checked = outside(input, findings);
        travel(input, findings);
        copies(input.run().layout(), findings);
        return new Outcome(checked, findings);
    }

    private static int outside(ProofInput input, List<Finding> findings) {
        SheetLayout layout = input.run().layout();
        Box stock = layout.stock();
        Optional<SegmentIndex<Segment>> edge = layout.outline().map(StockRule::edges);
        Map<String, Finding> worst = new LinkedHashMap<>();
        int checked = 0;
        for (Item item : input.program().items()) {
            if (item instanceof Item.Feed feed && feed.on()) {
                checked++;
                Stop stop = input.stops().get(feed.origin().stop());
                double half = halfSwath(stop);
                double beyond =
                        Math.max(
                                beyond(stock, feed.segment().box().grown(half)),
                                edge.map(e -> beyond(e, layout, feed.segment(), half)).orElse(0.0));
                Finding before = worst.get(stop.id());
                if (beyond > ROUNDING && (before == null || beyond > before.value())) {
                    worst.put(stop.id(), finding(stop, feed, beyond));
                }
            }
        }
        findings.addAll(worst.values());
        return checked;
    }

    private static SegmentIndex<Segment> edges(Region outline) {
        return SegmentIndex.of(
                outline.contours().stream().flatMap(c -> c.segments().stream()).toList());
    }

    /** How far a cut reaches over an outline with lines, arcs and holes, mm; about, from it on. */
    private static double beyond(
            SegmentIndex<Segment> edges, SheetLayout layout, Segment cut, double half) {
        double nearest = half;
        for (Segment edge : edges.touching(cut.box().grown(half))) {
            nearest = Math.min(nearest, Distances.between(edge, cut).distance());
        }
        boolean without = layout.outline().filter(o -> o.contains(cut.middle())).isEmpty();
        return without ? half + ROUNDING * 2 : half - nearest;
    }

    private static double halfSwath(Stop stop) {
        return stop.kind() == Stop.Kind.MARK ? 0 : Swath.halfKerf(stop);
    }

    /** How far a box reaches over the edge of another, mm; at most 0 when it lies within. */
    private static double beyond(Box stock, Box move) {
        double x = Math.max(stock.min().x() - move.min().x(), move.max().x() - stock.max().x());
        double y = Math.max(stock.min().y() - move.min().y(), move.max().y() - stock.max().y());
        return Math.max(x, y);
    }

    private static Finding finding(Stop stop, Item.Feed feed, double beyond) {
        String sentence =
                "%s reaches %s over the edge of the stock. Move the part or take a larger stock."
                        .formatted(ProofInput.named(stop), Numbers.length(beyond));
        return Finding.of(
                Severity.MUST_FIX, stop.id(), feed.segment().middle(), beyond, 0, sentence);
    }

    private static void travel(ProofInput input, List<Finding> findings) {
        Box stock = input.run().layout().stock();
        Machine machine = input.run().machine();
        double over =
                Math.max(
                        stock.width() - machine.travel().x(),
                        stock.height() - machine.travel().y());
        if (over > ROUNDING) {
            String sentence =
                    "The stock of %s × %s mm is larger than the travel of %s, %s × %s mm."
                            .formatted(
                                    Numbers.plain(stock.width(), 1),
                                    Numbers.plain(stock.height(), 1),
                                    machine.name(),
                                    Numbers.plain(machine.travel().x(), 1),
                                    Numbers.plain(machine.travel().y(), 1));
            findings.add(Finding.of(Severity.MUST_FIX, "", stock.max(), over, 0, sentence));
        }
    }

    private static void copies(SheetLayout layout, List<Finding> findings) {
        if (layout.placed() == 0) {
            findings.add(
                    Finding.of(
                            Severity.MUST_FIX,
                            "",
                            layout.stock().centre(),
                            0,
                            1,
                            SheetLayout.NOTHING_FITS));
        }
    }
}
