package dev.oleander.plan.sheet;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.geometry.Chain.Station;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.CutBook;
import dev.oleander.machine.CutDataException;
import dev.oleander.machine.CutRow;
import dev.oleander.plan.CutPath;
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
import dev.oleander.plan.sheet.LeadPlacer.Fit;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Makes the path of one feature: side, kerf, lead-in, over-run, lead-out. */
final class FeatureCutter {

    private final CutBook book;
    private final String material;
    private final double thickness;
    private final Ways ways;
    private final KeptField kept;
    private final KerfPath kerfPath = new KerfPath();

    FeatureCutter(CutBook book, String material, double thickness, Ways ways, KeptField kept) {
        this.book = book;
        this.material = material;
        this.thickness = thickness;
        this.ways = ways;
        this.kept = kept;
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

    /** The stop of the drawing itself: copy 0, without a number, in the drawing's coordinates. */
    Stop cut(Feature feature, StopChoice choice) {
        return new Run(feature, choice).cut();
    }

    /** The side on which the scrap lies, by the reading. */
    static Side scrapSide(Feature feature) {
        return switch (feature.kind()) {
            case OUTLINE -> Side.OUTSIDE;
            case OPENING -> Side.INSIDE;
            case OPEN -> Side.ON;
        };
    }

    private final class Run {
        private final Feature feature;
        private final StopChoice choice;
        private final Map<String, Source> sources = new TreeMap<>();
        private final Stop.Kind kind;
        private final Side side;
        private Lead leadIn = Lead.NONE;
        private Lead leadOut = Lead.NONE;
        private double startAt;
        private double overRun;
        private boolean anticlockwise = true;
        private boolean slows;

        Run(Feature feature, StopChoice choice) {
            this.feature = feature;
            this.choice = choice;
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

        Stop cut() {
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
                return alongLine(row);
            }
            KerfPath.Result result = kerfPath.of(feature, side, row.kerf());
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
        private Stop alongLine(CutRow row) {
            List<Segment> segments =
                    feature.purpose() == Purpose.CUT && kind == Stop.Kind.MARK
                            ? SmallHoleRule.centreMark(feature).segments()
                            : feature.chain().segments();
            return done(row, new CutPath(List.of(), segments, List.of(), List.of()), null);
        }

        private Stop round(Contour path, CutRow row) {
            anticlockwise = path.isAnticlockwise();
            leadIn = leadIn(path, row);
            overRun = overRun(row);
            LeadPlacer placer = new LeadPlacer(kept, row);
            Optional<Fit> fit = place(path, placer);
            if (fit.isEmpty()) {
                return refused(row, noRoom(path, row));
            }
            Fit found = fit.get();
            if (side == scrapSide(feature) && placer.bites(found)) {
                return refused(row, bite(found, row));
            }
            leadIn = found.lead();
            startAt =
                    feature.contour()
                            .distanceAt(feature.contour().nearest(found.station().point()));
            leadOut = leadOut(row);
            return done(row, withLeads(path.startedAt(found.station())), null);
        }

        private Optional<Fit> place(Contour path, LeadPlacer placer) {
            if (choice.start() != null) {
                sources.put("start", Source.HERE);
                double at = choice.start().value() % feature.contour().length();
                Point wanted = feature.contour().stationAt(at).point();
                return Optional.of(placer.measure(path, path.nearest(wanted), leadIn));
            }
            sources.put("start", Source.FOUND);
            if (leadIn.kind() == LeadKind.NONE || side != scrapSide(feature)) {
                Station first = path.stationAt(path.segments().get(0).length() / 2);
                return Optional.of(placer.measure(path, first, leadIn));
            }
            Optional<Fit> fit = placer.place(path, leadIn);
            if (fit.isPresent() || !choice.leadIn().isNothing()) {
                return fit;
            }
            // nothing round fits: a short straight one may
            return placer.place(path, Lead.line(leadIn.radius(), 90));
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

        private CutPath withLeads(Contour main) {
            Segment first = main.segments().get(0);
            List<Segment> in = LeadShaper.leadIn(leadIn, first.start(), first.direction(0));
            List<Segment> past = start(main, overRun);
            Segment last = past.isEmpty() ? lastOf(main.segments()) : lastOf(past);
            List<Segment> out = LeadShaper.leadOut(leadOut, last.end(), last.direction(1));
            return new CutPath(in, main.segments(), past, out);
        }

        private static Segment lastOf(List<Segment> segments) {
            return segments.get(segments.size() - 1);
        }

        /** The first stretch of a contour, of the given length; at most once round. */
        private static List<Segment> start(Contour contour, double length) {
            List<Segment> stretch = new ArrayList<>();
            double left = length;
            for (Segment segment : contour.segments()) {
                double here = segment.length();
                if (left <= 1e-9) {
                    break;
                }
                stretch.add(left >= here ? segment : segment.between(0, left / here));
                left -= here;
            }
            return stretch;
        }

        private Refusal bite(Fit fit, CutRow row) {
            return new Refusal(
                    Refusal.Kind.LEAD_BITES,
                    ("its lead-in comes within %s of part %s (needs %s). "
                                    + "Shorten it, turn it, or let Oleander place it.")
                            .formatted(
                                    Numbers.length(fit.bite().distance()),
                                    fit.bite().part().replace("p", ""),
                                    Numbers.length(row.kerf() / 2)),
                    fit.bite().place(),
                    fit.bite().distance(),
                    row.kerf() / 2);
        }

        private Refusal noRoom(Contour path, CutRow row) {
            double least = leadIn.kind().hasLine() ? leadIn.length() : leadIn.radius();
            return new Refusal(
                    Refusal.Kind.LEAD_BITES,
                    ("there is no place for its lead-in of %s, nor for a third of it, that stays %s "
                                    + "from kept material. Choose another form or a smaller one.")
                            .formatted(Numbers.length(least), Numbers.length(row.kerf() / 2)),
                    path.start(),
                    least,
                    row.kerf() / 2);
        }

        private Stop refused(CutRow row, Refusal refusal) {
            return done(row, null, refusal);
        }

        private Stop done(CutRow row, CutPath path, Refusal refusal) {
            List<Pass> passes = row == null ? List.of() : List.of(pass(row));
            return new Stop(
                    feature.id(),
                    0,
                    feature.id(),
                    feature.part().orElse(""),
                    0,
                    kind,
                    name(),
                    side,
                    anticlockwise,
                    leadIn,
                    leadOut,
                    startAt,
                    overRun,
                    passes,
                    Optional.ofNullable(row),
                    Optional.ofNullable(path),
                    Optional.ofNullable(refusal),
                    Map.copyOf(sources));
        }

        private String name() {
            boolean centre = feature.purpose() == Purpose.CUT && kind == Stop.Kind.MARK;
            return (centre ? "Centre of " : "") + FeatureNames.of(feature);
        }

        private Pass pass(CutRow row) {
            double offset = side == Side.ON ? 0 : row.kerf() / 2;
            double feed = slows ? row.feed() * SmallHoleRule.slowness(feature, row) : row.feed();
            return new Pass(1, offset, kind == Stop.Kind.MARK ? row.markFeed() : feed);
        }
    }
}
