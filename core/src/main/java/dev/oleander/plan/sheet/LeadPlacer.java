package dev.oleander.plan.sheet;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain.Station;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.CutRow;
import dev.oleander.plan.Lead;
import dev.oleander.plan.LeadKind;
import dev.oleander.plan.sheet.KeptField.Clearance;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Finds where a cut begins: of places along the path, the one whose lead has room, on a long
 * straight element rather than on a curve. A lead that fits nowhere is shortened step by step.
 */
final class LeadPlacer {

    private static final double[] SHORTER = {1, 0.75, 0.5, 0.35};
    private static final int EVENLY = 16;
    private static final int MOST_SEGMENTS = 40;

    /** What room for the pierce counts against a straight element. */
    private static final double ALL_ROOM = 4;

    /** mm; the swath may touch kept material by rounding, not more. */
    static final double TOUCH = 1e-4;

    private final KeptField kept;
    private final CutRow row;

    LeadPlacer(KeptField kept, CutRow row) {
        this.kept = kept;
        this.row = row;
    }

    /**
     * A place to begin and how much room it has.
     *
     * @param bite least clearance along the lead, mm; must be half the kerf
     * @param pierceRoom clearance of the pierce, mm
     */
    record Fit(Station station, Lead lead, Clearance bite, double pierceRoom) {}

    /** Measures a lead at a place that was chosen. */
    Fit measure(Contour path, Station station, Lead lead) {
        List<Segment> segments = LeadShaper.leadIn(lead, station.point(), path.departure(station));
        double reach = Math.max(row.pierceClearance(), row.kerf()) * 2;
        Clearance bite = new Clearance(reach, "", station.point());
        for (Segment segment : segments) {
            Clearance here = kept.along(segment, reach);
            bite = here.distance() < bite.distance() ? here : bite;
        }
        Point pierce = segments.isEmpty() ? station.point() : segments.get(0).start();
        return new Fit(station, lead, bite, kept.at(pierce, reach).distance());
    }

    boolean bites(Fit fit) {
        return fit.lead().kind() != LeadKind.NONE && fit.bite().distance() < row.kerf() / 2 - TOUCH;
    }

    /** The best place of the path; empty when no lead fits anywhere. */
    Optional<Fit> place(Contour path, Lead lead) {
        List<Station> stations = candidates(path);
        // the most promising first: the first of them with all the room it asks for is the best
        stations.sort(Comparator.comparingDouble(this::straightShare).reversed());
        Fit best = null;
        double most = Double.NEGATIVE_INFINITY;
        for (double factor : SHORTER) {
            for (Station station : stations) {
                if (most >= ALL_ROOM + straightShare(station)) {
                    break;
                }
                Fit fit = measure(path, station, lead.scaled(factor));
                double score = bites(fit) ? Double.NEGATIVE_INFINITY : score(fit);
                if (score > most + 1e-9) {
                    most = score;
                    best = fit;
                }
            }
            if (best != null && best.pierceRoom() >= row.pierceClearance()) {
                break;
            }
        }
        return Optional.ofNullable(best);
    }

    /** Room for the pierce first (up to what is asked), then length of a straight element. */
    private double score(Fit fit) {
        double room = Math.min(1, fit.pierceRoom() / row.pierceClearance());
        return ALL_ROOM * room + straightShare(fit.station());
    }

    /** Between 0 for a curve and 1 for a very long straight element. */
    private double straightShare(Station station) {
        Segment segment = station.segment();
        double straight = segment instanceof Arc ? 0 : segment.length();
        return straight / (straight + 10 * row.lead());
    }

    private static List<Station> candidates(Contour path) {
        List<Station> stations = new ArrayList<>();
        List<Segment> segments = path.segments();
        if (segments.size() <= MOST_SEGMENTS) {
            for (int i = 0; i < segments.size(); i++) {
                stations.add(new Station(i, 0.5, segments.get(i)));
            }
        }
        double length = path.length();
        for (int i = 0; i < EVENLY; i++) {
            stations.add(path.stationAt(length * i / EVENLY));
        }
        return stations;
    }
}
