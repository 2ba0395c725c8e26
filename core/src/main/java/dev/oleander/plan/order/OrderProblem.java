package dev.oleander.plan.order;

import dev.oleander.geometry.Point;
import java.util.Arrays;
import java.util.List;

/**
 * What is to be put in order.
 *
 * @param from where the head is before the first visit
 * @param visits what is visited, each once
 * @param travel time of the ways between them
 * @param heat what starting near a fresh cut costs
 * @param turning what turning the work to a visit costs
 */
public record OrderProblem(
        Point from, List<Visit> visits, TravelTime travel, Heat heat, Turning turning) {

    /** Visits for which the work is not turned. */
    public OrderProblem(Point from, List<Visit> visits, TravelTime travel, Heat heat) {
        this(from, visits, travel, heat, Turning.NONE);
    }

    public OrderProblem {
        visits = List.copyOf(visits);
        for (Visit visit : visits) {
            for (int earlier : visit.after()) {
                if (earlier < 0 || earlier >= visits.size()) {
                    throw new IllegalArgumentException("no visit has the number " + earlier);
                }
            }
        }
    }

    /**
     * One stop.
     *
     * @param begin where its work begins
     * @param end where its work ends
     * @param seconds how long its work takes
     * @param loosens seconds that it costs to come first of all; less the later it comes, nothing
     *     for the last
     * @param after numbers of visits that must come before it
     * @param turn of the work on an axis, degrees
     */
    public record Visit(
            Point begin,
            Point end,
            double seconds,
            double loosens,
            List<Integer> after,
            double turn) {

        /** One for which the work is not turned. */
        public Visit(Point begin, Point end, double seconds, double loosens, List<Integer> after) {
            this(begin, end, seconds, loosens, after, 0);
        }

        public Visit {
            after = List.copyOf(after);
        }
    }

    /**
     * Whether every visit stands once and comes after all it must.
     *
     * @param order numbers of visits
     */
    public boolean isPermitted(int[] order) {
        int[] position = new int[visits.size()];
        Arrays.fill(position, -1);
        if (order.length != position.length) {
            return false;
        }
        for (int i = 0; i < order.length; i++) {
            if (order[i] < 0 || order[i] >= position.length || position[order[i]] >= 0) {
                return false;
            }
            position[order[i]] = i;
        }
        for (int v = 0; v < position.length; v++) {
            for (int earlier : visits.get(v).after()) {
                if (position[earlier] > position[v]) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Seconds of the way from one visit to another; -1 stands for where the head begins. */
    public double way(int a, int b) {
        Visit next = visits.get(b);
        Point at = a < 0 ? from : visits.get(a).end();
        double turned = a < 0 ? turning.from() : visits.get(a).turn();
        return travel.over(at.distance(next.begin())) + turning.over(turned, next.turn());
    }

    /** Seconds between the visits of an order, with what heat and loosening too early cost. */
    public double cost(int[] order) {
        Tour tour = new Tour(this, order);
        return tour.cost(0, order.length - 1);
    }
}
