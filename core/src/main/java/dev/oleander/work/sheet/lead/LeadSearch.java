package dev.oleander.work.sheet.lead;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain.Station;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.Turn;
import dev.oleander.work.sheet.lead.KeptField.Clearance;
import dev.oleander.work.sheet.lead.LeadForms.Freedom;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Finds where a cut begins: of places along the path, the one with the best sum of room for the
 * lead, a long straight element, a short way from the stop before and on to the next, and a pierce
 * between the slats. What is measured against the drawing is kept, so that copies only have to be
 * measured against the sheet.
 */
public final class LeadSearch {

    private static final int EVENLY = 16;
    private static final int MOST_SEGMENTS = 40;

    /** What room for the pierce counts against all else. */
    static final double ROOM = 4;

    static final double STRAIGHT = 1;
    static final double NEAR = 0.3;
    static final double SLATS = 0.2;

    private final KeptField kept;
    private final CutRow row;
    private final Contour path;
    private final Turn turn;
    private final List<Lead> forms;
    private final List<Station> stations;
    private final double[] straight;
    private final Point[] pierces;

    /** What was measured against the drawing, by station and form. */
    private final Measured[][] measured;

    /** A fit in the drawing with its lead. */
    private record Measured(LeadFit fit, List<Segment> lead) {}

    /**
     * @param path of the head's centre, so that the scrap lies on the side that {@code turn} says
     * @param lead wished for
     */
    public LeadSearch(
            KeptField kept, CutRow row, Contour path, Turn turn, Lead lead, Freedom freedom) {
        this.kept = kept;
        this.row = row;
        this.path = path;
        this.turn = turn;
        this.forms = LeadForms.of(lead, freedom);
        this.stations = stations(path);
        this.straight = stations.stream().mapToDouble(this::straightShare).toArray();
        this.pierces = pierces(lead);
        this.measured = new Measured[stations.size()][forms.size()];
    }

    /** Where the pierce lies for the wished lead, by station: the same place beside the travel. */
    private Point[] pierces(Lead lead) {
        Point ahead = new Point(1, 0);
        List<Segment> shape =
                lead.kind() == LeadKind.NONE
                        ? List.of()
                        : LeadShaper.leadIn(lead, Point.ORIGIN, ahead, turn.scrap());
        Point beside = shape.isEmpty() ? Point.ORIGIN : shape.get(0).start();
        Point[] all = new Point[stations.size()];
        for (int i = 0; i < all.length; i++) {
            Point travel = path.departure(stations.get(i));
            all[i] =
                    stations.get(i)
                            .point()
                            .plus(travel.times(beside.x()))
                            .plus(travel.left().times(beside.y()));
        }
        return all;
    }

    /**
     * What a place is worth.
     *
     * @param room 0 to 1: clearance of the pierce as far as it is asked for
     * @param straight 0 on a curve to 1 on a very long straight element
     * @param near 0 to 1: how short the way from the stop before and to the next is
     * @param slats 0 above a slat to 1 well between two
     */
    public record Worth(double room, double straight, double near, double slats) {

        public double total() {
            return ROOM * room + withoutRoom();
        }

        double withoutRoom() {
            return STRAIGHT * straight + NEAR * near + SLATS * slats;
        }
    }

    /**
     * A place that was looked at.
     *
     * @param fit the form of the lead that fits there, or the wished one when none does
     */
    public record Candidate(LeadFit fit, Worth worth, boolean fits) {}

    /** The best place; empty when no lead fits anywhere. */
    public Optional<LeadFit> best(Surroundings around) {
        Worth[] worths = worths(around);
        int[] order =
                IntStream.range(0, worths.length)
                        .boxed()
                        .sorted(Comparator.comparingDouble(i -> -worths[i].withoutRoom()))
                        .mapToInt(i -> i)
                        .toArray();
        LeadFit best = null;
        double most = Double.NEGATIVE_INFINITY;
        for (int form = 0; form < forms.size(); form++) {
            for (int s : order) {
                // all that follow are worth less, even with all the room
                if (most >= ROOM + worths[s].withoutRoom()) {
                    break;
                }
                LeadFit fit = fit(s, form, around);
                double worth = ROOM * room(fit) + worths[s].withoutRoom();
                if (!fit.bites(row.kerf()) && worth > most + 1e-9) {
                    most = worth;
                    best = fit;
                }
            }
            if (best != null && room(best) >= 1) {
                break;
            }
        }
        return Optional.ofNullable(best);
    }

    /**
     * The lead at a wanted place. One that bites is turned, then shortened; when that does not help
     * it moves along the path, as little as possible.
     *
     * @return empty when nothing fits anywhere
     */
    public Optional<LeadFit> near(Station wanted, Surroundings around) {
        for (Lead form : forms) {
            LeadFit fit = measure(wanted, form, around);
            if (!fit.bites(row.kerf())) {
                return Optional.of(fit);
            }
        }
        int[] order =
                IntStream.range(0, stations.size())
                        .boxed()
                        .sorted(Comparator.comparingDouble(i -> along(stations.get(i), wanted)))
                        .mapToInt(i -> i)
                        .toArray();
        for (int form = 0; form < forms.size(); form++) {
            for (int s : order) {
                LeadFit fit = fit(s, form, around);
                if (!fit.bites(row.kerf())) {
                    return Optional.of(fit);
                }
            }
        }
        return Optional.empty();
    }

    /** mm along the path between two places, the shorter way round. */
    private double along(Station a, Station b) {
        double apart = Math.abs(path.distanceAt(a) - path.distanceAt(b));
        return Math.min(apart, path.length() - apart);
    }

    /** The wished lead at a place that was chosen, whether it fits or not. */
    public LeadFit wished(Station station, Surroundings around) {
        return measure(station, forms.get(0), around);
    }

    /** Every place that was looked at, in the order of the path. */
    public List<Candidate> candidates(Surroundings around) {
        Worth[] worths = worths(around);
        List<Candidate> all = new ArrayList<>();
        for (int s = 0; s < stations.size(); s++) {
            LeadFit fit = fit(s, 0, around);
            for (int form = 1; form < forms.size() && fit.bites(row.kerf()); form++) {
                fit = fit(s, form, around);
            }
            boolean fits = !fit.bites(row.kerf());
            LeadFit shown = fits ? fit : fit(s, 0, around);
            Worth w = worths[s];
            double room = fits ? room(shown) : 0;
            all.add(new Candidate(shown, new Worth(room, w.straight(), w.near(), w.slats()), fits));
        }
        all.sort(Comparator.comparingDouble(c -> path.distanceAt(c.fit().station())));
        return all;
    }

    private Worth[] worths(Surroundings around) {
        double[] detours = stations.stream().mapToDouble(s -> around.detour(s.point())).toArray();
        double least =
                IntStream.range(0, detours.length).mapToDouble(i -> detours[i]).min().orElse(0);
        double most =
                IntStream.range(0, detours.length).mapToDouble(i -> detours[i]).max().orElse(0);
        Worth[] worths = new Worth[detours.length];
        for (int i = 0; i < worths.length; i++) {
            double near = most > least ? (most - detours[i]) / (most - least) : 0;
            worths[i] = new Worth(0, straight[i], near, around.clearOfSlats(pierces[i]));
        }
        return worths;
    }

    private double room(LeadFit fit) {
        return Math.min(1, fit.pierceRoom().distance() / row.pierceClearance());
    }

    private LeadFit fit(int station, int form, Surroundings around) {
        Measured own = measured[station][form];
        if (own == null) {
            own = measured(stations.get(station), forms.get(form));
            measured[station][form] = own;
        }
        return own.fit.bites(row.kerf()) ? own.fit : within(own, around);
    }

    private LeadFit measure(Station station, Lead lead, Surroundings around) {
        return within(measured(station, lead), around);
    }

    private Measured measured(Station station, Lead lead) {
        List<Segment> segments = shape(station, lead);
        Clearance bite = new Clearance(reach(), "", station.point());
        for (Segment segment : segments) {
            bite = bite.orLess(kept.along(segment, reach()));
        }
        Clearance room = kept.at(pierce(segments, station), reach());
        return new Measured(new LeadFit(station, lead, bite, room), segments);
    }

    private LeadFit within(Measured own, Surroundings around) {
        LeadFit fit = own.fit;
        if (around == Surroundings.NONE || own.lead.isEmpty()) {
            return fit;
        }
        return fit.within(
                around.along(own.lead, reach()),
                around.at(pierce(own.lead, fit.station()), reach()));
    }

    private List<Segment> shape(Station station, Lead lead) {
        if (lead.kind() == LeadKind.NONE) {
            return List.of();
        }
        return LeadShaper.leadIn(lead, station.point(), path.departure(station), turn.scrap());
    }

    private static Point pierce(List<Segment> lead, Station station) {
        return lead.isEmpty() ? station.point() : lead.get(0).start();
    }

    private double reach() {
        return Math.max(row.pierceClearance(), row.kerf()) * 2;
    }

    /** Between 0 for a curve and 1 for a very long straight element. */
    private double straightShare(Station station) {
        Segment segment = station.segment();
        double length = segment instanceof Arc ? 0 : segment.length();
        return length / (length + 10 * row.lead());
    }

    private static List<Station> stations(Contour path) {
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
