package dev.oleander.work.sheet.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Chain.Station;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Compensation;
import dev.oleander.plan.stop.Approach;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Pass;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.Tab;
import dev.oleander.quantity.Numbers;
import dev.oleander.value.Source;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.Gap;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.cut.TabPlacer;
import dev.oleander.work.sheet.cut.TabWish;
import dev.oleander.work.sheet.cut.Turn;
import dev.oleander.work.sheet.lead.LeadFit;
import dev.oleander.work.sheet.lead.LeadShaper;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeMap;

/**
 * A stop before it is decided where it begins, in the drawing's coordinates.
 *
 * @param here what a person set for this very stop
 * @param choice the same, and under it what recipes say
 * @param turn which side of the travel the scrap lies on
 * @param row null when the book has no data
 * @param loop the closed path of the head's centre; null when there is none
 * @param line the path of marks and open lines; empty for others
 * @param leadIn as wished: it may be turned, shortened and moved where that is not barred
 * @param refusal null when nothing stands against it so far
 */
record Draft(
        Feature feature,
        StopChoice here,
        StopChoice choice,
        Stop.Kind kind,
        Side side,
        Turn turn,
        CutRow row,
        List<Pass> passes,
        Contour loop,
        List<Segment> line,
        Lead leadIn,
        Lead leadOut,
        double overRun,
        TabWish tabs,
        Compensation compensation,
        Map<String, Source> sources,
        Refusal refusal) {

    Draft {
        passes = List.copyOf(passes);
        line = List.copyOf(line);
        sources = Map.copyOf(sources);
    }

    /** Whether a lead has to be found for it; a cut on the wrong side begins anywhere. */
    boolean seeksLead() {
        return loop != null && refusal == null && side == FeatureCutter.scrapSide(feature);
    }

    /** The stop of a path that needs no lead, or of none. */
    Stop withoutLead() {
        if (refusal != null) {
            return stop(null, Lead.NONE, 0, List.of(), List.of(), List.of(), refusal);
        }
        CutPath path = new CutPath(List.of(), line, List.of(), List.of());
        return stop(path, Lead.NONE, 0, List.of(), List.of(), List.of(), null);
    }

    Stop refused(Refusal reason) {
        return stop(null, leadIn, 0, List.of(), List.of(), List.of(), reason);
    }

    /**
     * The stop that begins at a place.
     *
     * @param remarks what was changed of the lead that was wished for, and why
     */
    Stop begun(Station station, Lead lead, List<String> remarks) {
        Contour main = loop.startedAt(station);
        Segment first = main.segments().get(0);
        List<Segment> in = LeadShaper.leadIn(lead, first.start(), first.direction(0), turn.scrap());
        List<Segment> past = main.beginning(overRun);
        Segment last = past.isEmpty() ? lastOf(main.segments()) : lastOf(past);
        List<Segment> out =
                LeadShaper.leadOut(leadOut, last.end(), last.direction(1), turn.scrap());
        return stop(in, main, past, out, lead, remarks, List.of(), station);
    }

    /**
     * The stop that begins in the kerf of another one, behind the longest stretch that is cut
     * already.
     *
     * @param shared segments of the loop that are cut already, by their place
     * @param remarks which stops have cut them
     */
    Stop begunInKerf(SortedSet<Integer> shared, List<String> remarks) {
        int first = afterLongest(shared);
        Station station = new Station(first, 0, loop.segments().get(first));
        Contour main = loop.startedAt(station);
        int count = main.segments().size();
        List<Gap> gaps = new ArrayList<>();
        double along = 0;
        for (int i = 0; i < count; i++) {
            double end = along + main.segments().get(i).length();
            boolean cut = shared.contains((first + i) % count);
            Gap last = gaps.isEmpty() ? null : gaps.get(gaps.size() - 1);
            if (cut && last != null && last.to() == along) {
                gaps.set(gaps.size() - 1, new Gap(last.from(), end));
            } else if (cut) {
                gaps.add(new Gap(along, end));
            }
            along = end;
        }
        return stop(List.of(), main, List.of(), List.of(), Lead.NONE, remarks, gaps, station);
    }

    /** The first segment after the longest run of shared ones. */
    private int afterLongest(SortedSet<Integer> shared) {
        int count = loop.segments().size();
        double longest = -1;
        int best = 0;
        for (int i : shared) {
            if (!shared.contains((i + count - 1) % count)) {
                double length = 0;
                int at = i;
                while (shared.contains(at)) {
                    length += loop.segments().get(at).length();
                    at = (at + 1) % count;
                }
                if (length > longest) {
                    longest = length;
                    best = at;
                }
            }
        }
        return best;
    }

    private Stop stop(
            List<Segment> in,
            Contour main,
            List<Segment> past,
            List<Segment> out,
            Lead lead,
            List<String> remarks,
            List<Gap> gaps,
            Station station) {
        double startAt = feature.contour().distanceAt(feature.contour().nearest(station.point()));
        List<Tab> placed =
                tabs(main).stream()
                        .filter(
                                t ->
                                        gaps.stream()
                                                .noneMatch(
                                                        g ->
                                                                g.to() > t.from()
                                                                        && g.from() < t.to()))
                        .toList();
        List<String> all = new ArrayList<>(remarks);
        int wanted = tabs.count() + tabs.at().size();
        if (placed.size() < wanted) {
            all.add(
                    "Of %d tabs %d have room: they stay %s from corners and from the start."
                            .formatted(
                                    wanted, placed.size(), Numbers.length(TabPlacer.FROM_CORNER)));
        }
        CutPath path = new CutPath(in, main.segments(), past, out);
        return stop(path, lead, startAt, placed, gaps, all, null);
    }

    /** The lead-in of a place that was looked at. */
    List<Segment> shape(LeadFit fit) {
        return fit.lead().kind() == LeadKind.NONE
                ? List.of()
                : LeadShaper.leadIn(
                        fit.lead(),
                        fit.station().point(),
                        loop.departure(fit.station()),
                        turn.scrap());
    }

    private List<Tab> tabs(Contour main) {
        if (tabs.count() == 0 && tabs.at().isEmpty()) {
            return List.of();
        }
        Contour drawn = feature.contour();
        List<Double> byHand =
                tabs.at().stream()
                        .map(at -> drawn.stationAt(at % drawn.length()).point())
                        .map(place -> main.distanceAt(main.nearest(place)))
                        .toList();
        double clear = Math.max(overRun, row.lead() / 2);
        return new TabPlacer(main.segments(), clear).place(tabs, byHand);
    }

    private static Segment lastOf(List<Segment> segments) {
        return segments.get(segments.size() - 1);
    }

    private Stop stop(
            CutPath path,
            Lead lead,
            double startAt,
            List<Tab> placed,
            List<Gap> gaps,
            List<String> remarks,
            Refusal reason) {
        Map<String, Source> from = new TreeMap<>(sources);
        from.putIfAbsent("start", Source.FOUND);
        Stop.Head head =
                new Stop.Head(
                        feature.id(),
                        0,
                        feature.id(),
                        feature.part().orElse(""),
                        0,
                        kind,
                        FeatureCutter.name(feature, kind));
        Stop.Way way =
                new Stop.Way(
                        side,
                        loop == null || loop.isAnticlockwise(),
                        compensation,
                        row == null ? 0 : row.kerf(),
                        new Stop.Ends(lead, leadOut, overRun),
                        Optional.ofNullable(path),
                        placed);
        SheetCut cut = new SheetCut(startAt, Optional.ofNullable(row), gaps, Approach.UP);
        return new Stop(head, way, passes, Optional.ofNullable(reason), from, remarks, cut);
    }
}
