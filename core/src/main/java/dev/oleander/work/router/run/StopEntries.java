package dev.oleander.work.router.run;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Compensation;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Pass;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.value.Source;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.deed.Deed;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Bevel;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.tool.Feeds;
import dev.oleander.work.router.way.ContourWay;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Stops of a router as entries of the run line. */
final class StopEntries {

    private StopEntries() {}

    /**
     * @param feature what it is done to, or the first of those
     * @param placement where its copy lies
     * @param feeds empty when it cannot be done
     */
    static Stop of(
            RouterStop stop,
            Deed deed,
            Feature feature,
            Placement placement,
            Optional<Feeds> feeds) {
        Optional<Round> round = round(deed);
        Optional<ShownWay> way =
                stop.isDone() ? Optional.of(way(stop, deed, feature, placement)) : Optional.empty();
        Stop.Head head =
                new Stop.Head(
                        stop.id(),
                        0,
                        feature.id(),
                        feature.part().orElse(""),
                        stop.copy(),
                        feature.isClosed() ? Stop.Kind.PROFILE : Stop.Kind.LINE,
                        StopNames.of(stop, deed, feature),
                        deed.deed());
        Stop.Way shown =
                new Stop.Way(
                        side(deed, feature),
                        way.map(w -> turnsLeft(w.main())).orElse(false),
                        Compensation.PATH,
                        stop.tool().map(t -> t.diameter()).orElse(0.0),
                        Stop.Ends.without(0),
                        way.map(w -> new CutPath(List.of(), w.main(), List.of(), List.of())),
                        way.filter(w -> isLast(stop, round)).map(ShownWay::tabs).orElse(List.of()));
        return new Stop(
                head,
                shown,
                passes(stop, feeds),
                stop.refusal().map(why -> refusal(why, feature)),
                sources(stop, deed, feature),
                List.of(),
                new RouterWork(stop, deed, feeds));
    }

    /** Tabs stand in the skin, where one is left; above it they only begin. */
    private static boolean isLast(RouterStop stop, Optional<Round> round) {
        return stop.skin() || round.flatMap(Round::skin).isEmpty();
    }

    private static Optional<Round> round(Deed deed) {
        return deed.operation()
                .map(Operation::what)
                .filter(Round.class::isInstance)
                .map(Round.class::cast);
    }

    /** A pocket is shown by its wall. */
    private static ShownWay way(RouterStop stop, Deed deed, Feature feature, Placement placement) {
        boolean pocket = deed.kind().equals(RouterKind.POCKET.word());
        return pocket && feature.isClosed()
                ? new ShownWay(
                        feature.contour().transformed(placement.transform()).segments(), List.of())
                : ShownWay.of(stop, round(deed).isPresent() && feature.isClosed());
    }

    private static Side side(Deed deed, Feature feature) {
        Operation.What what = deed.operation().map(Operation::what).orElse(null);
        if (what instanceof Round round) {
            return side(round.side(), feature);
        }
        return what instanceof Bevel bevel ? side(bevel.side(), feature) : Side.ON;
    }

    private static Side side(Optional<ContourWay.Side> said, Feature feature) {
        return Side.valueOf(said.orElse(ContourWay.Side.usual(feature)).name());
    }

    /** Whether a closed way runs anticlockwise, by the area that it goes round. */
    private static boolean turnsLeft(List<Segment> way) {
        double twice = 0;
        for (Segment s : way) {
            twice += s.start().cross(s.middle()) + s.middle().cross(s.end());
        }
        return twice > 0;
    }

    private static List<Pass> passes(RouterStop stop, Optional<Feeds> feeds) {
        List<Pass> passes = new ArrayList<>();
        if (stop.isDone()) {
            double feed = feeds.map(Feeds::feed).orElse(0.0);
            stop.levels().forEach(level -> passes.add(new Pass(passes.size() + 1, 0, feed, false)));
        }
        return passes;
    }

    private static Refusal refusal(String sentence, Feature feature) {
        boolean word = sentence.length() > 1 && Character.isUpperCase(sentence.charAt(1));
        String inside =
                word ? sentence : Character.toLowerCase(sentence.charAt(0)) + sentence.substring(1);
        return new Refusal(Refusal.Kind.TOOL, inside, feature.chain().start(), 0, 0);
    }

    /** A tool that nobody named is found. */
    private static Map<String, Source> sources(RouterStop stop, Deed deed, Feature feature) {
        Map<String, Source> sources = new TreeMap<>(deed.sourcesOf(feature.id()));
        deed.sourcesOf("").forEach(sources::putIfAbsent);
        stop.tool().ifPresent(t -> sources.putIfAbsent(WishValues.TOOL, Source.FOUND));
        for (String word : List.of(WishValues.STEP_DOWN, WishValues.STEP_OVER, WishValues.PECK)) {
            sources.putIfAbsent(word, Source.BOOK);
        }
        return sources;
    }
}
