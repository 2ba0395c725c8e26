package dev.oleander.work.wire.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Compensation;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.FeatureNames;
import dev.oleander.plan.stop.Pass;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.StopWork;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.flank.ProfileWork;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Visits as entries of the run line. */
final class WireStops {

    private WireStops() {}

    static Stop of(Feature feature, WireSettings settings, WireVisit visit) {
        List<Pass> passes = new ArrayList<>();
        for (WireCut cut : visit.cuts()) {
            passes.add(new Pass(passes.size() + 1, cut.offset(), cut.feed(), false));
        }
        String name = name(feature, settings.kind());
        boolean whole = visit.role() == WireVisit.Role.WHOLE;
        Stop.Head head =
                head(
                        visit.stop(),
                        feature,
                        visit.copy(),
                        settings.kind(),
                        whole ? name : "%s, %s".formatted(name, visit.role().label()));
        Stop.Way way =
                new Stop.Way(
                        side(settings.kind()),
                        settings.anticlockwise(),
                        settings.compensation(),
                        0,
                        Stop.Ends.without(settings.overlap()),
                        Optional.of(path(visit)),
                        List.of());
        return new Stop(head, way, passes, Optional.empty(), settings.sources(), List.of(), visit);
    }

    private static Stop.Head head(
            String id, Feature feature, int copy, WireKind kind, String name) {
        return new Stop.Head(
                id,
                0,
                feature.id(),
                feature.part().orElse(""),
                copy,
                kind == WireKind.OPEN ? Stop.Kind.LINE : Stop.Kind.PROFILE,
                name);
    }

    static Stop refused(Feature feature, int copy, WireKind kind, Refusal refusal) {
        String id = FeatureKey.of(feature.id(), copy).text();
        Stop.Way nowhere =
                new Stop.Way(
                        side(kind),
                        true,
                        Compensation.CONTROLLER,
                        0,
                        Stop.Ends.without(0),
                        Optional.empty(),
                        List.of());
        return new Stop(
                head(id, feature, copy, kind, name(feature, kind)),
                nowhere,
                List.of(),
                Optional.of(refusal),
                Map.of(),
                List.of(),
                StopWork.NONE);
    }

    private static String name(Feature feature, WireKind kind) {
        String name = FeatureNames.of(feature);
        boolean outline = feature.kind() == Feature.Kind.OUTLINE;
        if (kind == WireKind.OPENING && outline) {
            return name.replaceFirst("^(Outline|Disc)", "Opening");
        }
        return kind == WireKind.PUNCH ? name.replaceFirst("^(Outline|Opening)", "Punch") : name;
    }

    private static Side side(WireKind kind) {
        return switch (kind) {
            case OPENING -> Side.INSIDE;
            case PUNCH -> Side.OUTSIDE;
            case OPEN -> Side.ON;
        };
    }

    /** The way in the lower plane of the cut through whole material, else of the first. */
    private static CutPath path(WireVisit visit) {
        List<WireCut> cuts = visit.cuts();
        WireCut shown =
                cuts.stream().filter(c -> c.role().isThrough()).findFirst().orElse(cuts.get(0));
        List<Segment> main = new ArrayList<>();
        shown.way().forEach(r -> main.add(r.lower()));
        List<Segment> in =
                shown.from().map(at -> ProfileWork.line(at, shown.begin())).orElse(List.of());
        List<Segment> out =
                shown.off().map(at -> ProfileWork.line(shown.end(), at)).orElse(List.of());
        return new CutPath(in, main, List.of(), out);
    }
}
