package dev.oleander.plan.sheet;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.CutBook;
import dev.oleander.machine.CutDataException;
import dev.oleander.machine.CutRow;
import dev.oleander.plan.Lead;
import dev.oleander.plan.LeadChoice;
import dev.oleander.plan.LeadKind;
import dev.oleander.plan.Pass;
import dev.oleander.plan.Refusal;
import dev.oleander.plan.Side;
import dev.oleander.plan.SmallHoles;
import dev.oleander.plan.Source;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Drafts the cut of one feature: side, data, the path half a kerf away, the leads wished for. */
final class FeatureCutter {

    private final CutBook book;
    private final String material;
    private final double thickness;
    private final Ways ways;
    private final KerfPath kerfPath = new KerfPath();

    FeatureCutter(CutBook book, String material, double thickness, Ways ways) {
        this.book = book;
        this.material = material;
        this.thickness = thickness;
        this.ways = ways;
    }

    /**
     * What holds for the whole job.
     *
     * @param quality of the cut book's rows
     */
    record Ways(String quality, SmallHoles smallHoles) {}

    /** Whether a hole is drilled later, be its centre marked or not. */
    boolean isDrilled(Feature feature, StopChoice choice) {
        boolean byRule =
                ways.smallHoles() == SmallHoles.MARK || ways.smallHoles() == SmallHoles.DRILL;
        if (!byRule || choice.side() != null) {
            return false;
        }
        try {
            return SmallHoleRule.isSmall(feature, rowFor(choice));
        } catch (CutDataException noData) {
            return false;
        }
    }

    private CutRow rowFor(StopChoice choice) {
        String quality = choice.quality() != null ? choice.quality() : ways.quality();
        return book.find(material, thickness, quality);
    }

    /** The draft of a feature that runs with the scrap on the given side. */
    Draft draft(Feature feature, StopChoice choice, Turn turn) {
        return new Work(feature, choice, turn).draft();
    }

    /** The side on which the scrap lies, by the reading. */
    static Side scrapSide(Feature feature) {
        return switch (feature.kind()) {
            case OUTLINE -> Side.OUTSIDE;
            case OPENING -> Side.INSIDE;
            case OPEN -> Side.ON;
        };
    }

    /** What a stop is called. */
    static String name(Feature feature, Stop.Kind kind) {
        boolean centre = feature.purpose() == Purpose.CUT && kind == Stop.Kind.MARK;
        return (centre ? "Centre of " : "") + FeatureNames.of(feature);
    }

    private final class Work {
        private final Feature feature;
        private final StopChoice choice;
        private final Turn turn;
        private final Map<String, Source> sources = new TreeMap<>();
        private final Stop.Kind kind;
        private final Side side;
        private boolean slows;

        Work(Feature feature, StopChoice choice, Turn turn) {
            this.feature = feature;
            this.choice = choice;
            this.turn = turn;
            this.kind = isDrilled(feature, choice) ? Stop.Kind.MARK : kindOf(feature);
            this.side = chooseSide();
        }

        private static Stop.Kind kindOf(Feature feature) {
            if (feature.purpose() == Purpose.MARK) {
                return Stop.Kind.MARK;
            }
            return feature.isClosed() ? Stop.Kind.PROFILE : Stop.Kind.LINE;
        }

        private Side chooseSide() {
            boolean free = kind == Stop.Kind.PROFILE && choice.side() != null;
            sources.put("side", free ? Source.HERE : Source.READING);
            if (free) {
                return choice.side();
            }
            return kind == Stop.Kind.PROFILE ? scrapSide(feature) : Side.ON;
        }

        Draft draft() {
            CutRow row;
            try {
                row = findRow();
            } catch (CutDataException missing) {
                Point place = feature.chain().start();
                return refused(
                        null,
                        new Refusal(
                                Refusal.Kind.NO_DATA, missing.getMessage(), place, thickness, 0));
            }
            if (kind != Stop.Kind.PROFILE) {
                return done(row, null, alongLine(), Lead.NONE, Lead.NONE, 0, null);
            }
            KerfPath.Result result = kerfPath.of(feature, side, row.kerf(), turn);
            return result.path().isPresent()
                    ? round(result.path().get(), row)
                    : refused(row, result.refusal().orElseThrow());
        }

        private CutRow findRow() {
            boolean here = choice.quality() != null;
            sources.put("data", here ? Source.HERE : Source.JOB);
            for (String name : List.of("kerf", "feed", "offset")) {
                sources.put(name, Source.BOOK);
            }
            CutRow row = rowFor(choice);
            slows = ways.smallHoles() == SmallHoles.SLOW && SmallHoleRule.isSmall(feature, row);
            if (slows) {
                sources.put("feed", Source.RECIPE);
            }
            return row;
        }

        /** Marks and open lines run on the line itself, from its start to its end. */
        private List<Segment> alongLine() {
            return feature.purpose() == Purpose.CUT && kind == Stop.Kind.MARK
                    ? SmallHoleRule.centreMark(feature).segments()
                    : feature.chain().segments();
        }

        private Draft round(Contour path, CutRow row) {
            Lead in = leadIn(path, row);
            Lead out = leadOut(row);
            sources.put("start", choice.start() != null ? Source.HERE : Source.FOUND);
            return done(row, path, List.of(), in, out, overRun(row), null);
        }

        private Lead leadIn(Contour path, CutRow row) {
            boolean hole = feature.circleDiameter().isPresent() && side == Side.INSIDE;
            Lead base =
                    choice.leadIn().kind() == null
                            ? HouseRecipe.leadIn(path, hole, row)
                            : HouseRecipe.ofKind(choice.leadIn().kind(), row);
            return chosen("leadIn", base, choice.leadIn());
        }

        private Lead leadOut(CutRow row) {
            LeadKind wanted =
                    choice.leadOut().kind() == null ? LeadKind.NONE : choice.leadOut().kind();
            return chosen("leadOut", HouseRecipe.ofKind(wanted, row), choice.leadOut());
        }

        private Lead chosen(String name, Lead base, LeadChoice set) {
            sources.put(name, set.kind() != null ? Source.HERE : Source.RECIPE);
            sources.put(name + "Length", set.length() != null ? Source.HERE : Source.BOOK);
            sources.put(name + "Angle", set.angle() != null ? Source.HERE : Source.RECIPE);
            sources.put(name + "Radius", set.radius() != null ? Source.HERE : Source.BOOK);
            return new Lead(
                    base.kind(),
                    set.length() != null ? set.length().value() : base.length(),
                    set.angle() != null ? set.angle().value() : base.angle(),
                    set.radius() != null ? set.radius().value() : base.radius());
        }

        private double overRun(CutRow row) {
            sources.put("overRun", choice.overRun() != null ? Source.HERE : Source.BOOK);
            return choice.overRun() != null ? choice.overRun().value() : row.overRun();
        }

        private Draft refused(CutRow row, Refusal refusal) {
            return done(row, null, List.of(), Lead.NONE, Lead.NONE, 0, refusal);
        }

        private Draft done(
                CutRow row,
                Contour loop,
                List<Segment> line,
                Lead in,
                Lead out,
                double overRun,
                Refusal refusal) {
            List<Pass> passes = row == null ? List.of() : List.of(pass(row));
            return new Draft(
                    feature, choice, kind, side, turn, row, passes, loop, line, in, out, overRun,
                    sources, refusal);
        }

        private Pass pass(CutRow row) {
            double offset = side == Side.ON ? 0 : row.kerf() / 2;
            double feed = slows ? row.feed() * SmallHoleRule.slowness(feature, row) : row.feed();
            return new Pass(1, offset, kind == Stop.Kind.MARK ? row.markFeed() : feed);
        }
    }
}
