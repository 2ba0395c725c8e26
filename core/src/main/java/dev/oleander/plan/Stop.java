package dev.oleander.plan;

import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.machine.Compensation;
import dev.oleander.machine.CutRow;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One entry of the run line: a feature of one copy with all its passes.
 *
 * @param id feature and copy, for example c3.2
 * @param number place in the order, from 1
 * @param name what it is, for people: Hole Ø 9
 * @param anticlockwise direction of travel
 * @param row data used; empty when the book has none
 * @param path empty when the stop is refused
 * @param sources where each value comes from, by name
 * @param tabs along the main stretch of the path, in its order
 * @param shared stretches of the main path that an earlier stop has cut
 * @param compensation who moves the path off the drawn line
 * @param approach how the head comes from the stop before
 * @param remarks what was changed of what was wished for, and why; sentences
 */
public record Stop(
        String id,
        int number,
        String feature,
        String part,
        int copy,
        Kind kind,
        String name,
        Side side,
        boolean anticlockwise,
        Lead leadIn,
        Lead leadOut,
        double startAt,
        double overRun,
        List<Pass> passes,
        Optional<CutRow> row,
        Optional<CutPath> path,
        Optional<Refusal> refusal,
        Map<String, Source> sources,
        List<Tab> tabs,
        List<Gap> shared,
        Compensation compensation,
        Approach approach,
        List<String> remarks) {

    public Stop {
        passes = List.copyOf(passes);
        tabs = List.copyOf(tabs);
        shared = List.copyOf(shared);
        remarks = List.copyOf(remarks);
    }

    /** What kind of work it is. */
    public enum Kind {
        PROFILE,
        LINE,
        MARK
    }

    public static String id(String feature, int copy) {
        return feature + "." + copy;
    }

    /**
     * This stop of the drawing, carried to where a copy lies. Its number follows with the order.
     */
    public Stop at(Placement placement) {
        Transform transform = placement.transform();
        return new Stop(
                id(feature, placement.copy()),
                0,
                feature,
                part,
                placement.copy(),
                kind,
                name,
                side,
                anticlockwise != transform.isMirrored(),
                leadIn,
                leadOut,
                startAt,
                overRun,
                passes,
                row,
                path.map(p -> p.transformed(transform)),
                refusal.map(r -> r.at(transform.apply(r.place()))),
                sources,
                tabs,
                shared,
                compensation,
                approach,
                remarks);
    }

    /**
     * Where the head is when the process goes off for the last time; a common line at the end of
     * the path is not travelled.
     *
     * @throws java.util.NoSuchElementException when the stop has no path
     */
    public Point end() {
        CutPath cut = path.orElseThrow();
        if (shared.isEmpty() || !cut.overRun().isEmpty() || !cut.leadOut().isEmpty()) {
            return cut.end();
        }
        Path main = new Path(cut.main());
        Gap last = shared.get(shared.size() - 1);
        boolean atEnd = last.to() > main.length() - 1e-6;
        return atEnd ? main.stationAt(last.from()).point() : cut.end();
    }

    /** Whether the scrap, and with it the head, lies to the left of the travel. */
    public boolean isScrapLeft() {
        return (side == Side.INSIDE) == anticlockwise;
    }

    /**
     * The same stop on another path with other tabs: as it is written for a controller that moves
     * the path itself.
     */
    public Stop on(CutPath other, List<Tab> otherTabs) {
        return with(number, Optional.of(other), otherTabs, approach);
    }

    public Stop numbered(int newNumber) {
        return with(newNumber, path, tabs, approach);
    }

    /** The same stop, come to in another way. */
    public Stop approached(Approach other) {
        return other.equals(approach) ? this : with(number, path, tabs, other);
    }

    private Stop with(
            int newNumber, Optional<CutPath> newPath, List<Tab> newTabs, Approach newApproach) {
        return new Stop(
                id,
                newNumber,
                feature,
                part,
                copy,
                kind,
                name,
                side,
                anticlockwise,
                leadIn,
                leadOut,
                startAt,
                overRun,
                passes,
                row,
                newPath,
                refusal,
                sources,
                newTabs,
                shared,
                compensation,
                newApproach,
                remarks);
    }

    /** The refusal as a whole sentence that names the stop. */
    public Optional<String> refusalSentence() {
        return refusal.map(r -> "Stop %d (%s): %s".formatted(number, name, r.sentence()));
    }
}
