package dev.oleander.plan.stop;

import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.geometry.Transform;
import dev.oleander.machine.Compensation;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.value.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One entry of the run line: a feature of one copy with all its passes.
 *
 * @param refusal why it cannot be worked as it is set; empty when it can
 * @param sources where each value comes from, by name
 * @param remarks what was changed of what was wished for, and why; sentences
 * @param work what only its kind of work has
 */
public record Stop(
        Head head,
        Way way,
        List<Pass> passes,
        Optional<Refusal> refusal,
        Map<String, Source> sources,
        List<String> remarks,
        StopWork work) {

    public Stop {
        passes = List.copyOf(passes);
        remarks = List.copyOf(remarks);
    }

    /** What kind of line it is worked along. */
    public enum Kind {
        PROFILE,
        LINE,
        MARK
    }

    /**
     * What is worked.
     *
     * @param id feature and copy, for example c3.2
     * @param number place in the order, from 1
     * @param name what it is, for people: Hole Ø 9
     * @param deed which of the things that are done to the feature it is, where people can set
     *     values for each; empty where they set them for all
     */
    public record Head(
            String id,
            int number,
            String feature,
            String part,
            int copy,
            Kind kind,
            String name,
            String deed) {

        /** One of which the values are those of its feature. */
        public Head(
                String id,
                int number,
                String feature,
                String part,
                int copy,
                Kind kind,
                String name) {
            this(id, number, feature, part, copy, kind, name, "");
        }

        Head numbered(int value) {
            return new Head(id, value, feature, part, copy, kind, name, deed);
        }

        /** The same of a copy. Its number follows with the order. */
        Head of(int aCopy) {
            String ofCopy = FeatureKey.of(feature, aCopy).text();
            return new Head(ofCopy, 0, feature, part, aCopy, kind, name, deed);
        }
    }

    /**
     * Where the tool goes.
     *
     * @param side of the line on which it runs
     * @param anticlockwise direction of travel
     * @param compensation who moves the path off the drawn line
     * @param width of what it takes away, mm; 0 when nobody knows
     * @param ends how the path is begun and ended
     * @param path empty when the stop is refused
     * @param tabs along the main stretch of the path, in its order
     */
    public record Way(
            Side side,
            boolean anticlockwise,
            Compensation compensation,
            double width,
            Ends ends,
            Optional<CutPath> path,
            List<Tab> tabs) {

        public Way {
            tabs = List.copyOf(tabs);
        }

        Way transformed(Transform transform) {
            return new Way(
                    side,
                    anticlockwise != transform.isMirrored(),
                    compensation,
                    width,
                    ends,
                    path.map(p -> p.transformed(transform)),
                    tabs);
        }

        Way on(CutPath otherPath, List<Tab> otherTabs) {
            return new Way(
                    side,
                    anticlockwise,
                    compensation,
                    width,
                    ends,
                    Optional.of(otherPath),
                    otherTabs);
        }

        /** Whether the scrap, and with it the tool, lies to the left of the travel. */
        boolean isScrapLeft() {
            return (side == Side.INSIDE) == anticlockwise;
        }
    }

    /**
     * How a path is begun and ended.
     *
     * @param overRun mm past the closing point
     */
    public record Ends(Lead leadIn, Lead leadOut, double overRun) {

        /** Begun and ended on the line itself. */
        public static Ends without(double overRun) {
            return new Ends(Lead.NONE, Lead.NONE, overRun);
        }
    }

    /** Names what its values are set for, which other stops may be of as well. */
    public String subject() {
        return key().text();
    }

    /** The same, of all copies. */
    public String subjectOfAll() {
        return key().ofAllCopies().text();
    }

    /** The same, of all features that it is done to. */
    public List<String> subjectsOfAll() {
        List<String> all = new ArrayList<>(List.of(subjectOfAll()));
        work.others().forEach(f -> all.add(key().ofAllCopies().with(f).text()));
        return List.copyOf(all);
    }

    /** Names what its values are set for. */
    public FeatureKey key() {
        return FeatureKey.of(feature(), copy()).visit(head.deed());
    }

    public String id() {
        return head.id();
    }

    public int number() {
        return head.number();
    }

    public String feature() {
        return head.feature();
    }

    public String part() {
        return head.part();
    }

    public int copy() {
        return head.copy();
    }

    /** Its part and its copy, for people; its copy alone when the drawing is one part. */
    public String where() {
        String copy = "copy " + copy();
        return part().isEmpty() ? copy : PartRef.within(part()) + ", " + copy;
    }

    public Kind kind() {
        return head.kind();
    }

    public String name() {
        return head.name();
    }

    public Side side() {
        return way.side();
    }

    public boolean anticlockwise() {
        return way.anticlockwise();
    }

    public Compensation compensation() {
        return way.compensation();
    }

    public Lead leadIn() {
        return way.ends().leadIn();
    }

    public Lead leadOut() {
        return way.ends().leadOut();
    }

    public double overRun() {
        return way.ends().overRun();
    }

    public Optional<CutPath> path() {
        return way.path();
    }

    public List<Tab> tabs() {
        return way.tabs();
    }

    /** Whether the scrap, and with it the tool, lies to the left of the travel. */
    public boolean isScrapLeft() {
        return way.isScrapLeft();
    }

    /**
     * This stop of the drawing, carried to where a copy lies. Its number follows with the order.
     */
    public Stop at(Placement placement) {
        Transform transform = placement.transform();
        return new Stop(
                head.of(placement.copy()),
                way.transformed(transform),
                passes,
                refusal.map(r -> r.at(transform.apply(r.place()))),
                sources,
                remarks,
                work);
    }

    /**
     * The same stop on another path with other tabs: as it is written for a controller that moves
     * the path itself.
     */
    public Stop on(CutPath other, List<Tab> otherTabs) {
        return new Stop(head, way.on(other, otherTabs), passes, refusal, sources, remarks, work);
    }

    public Stop numbered(int newNumber) {
        Head renamed = head.numbered(newNumber);
        return new Stop(renamed, way, passes, refusal, sources, remarks, work);
    }

    /** The same with other work of its kind. */
    public Stop with(StopWork other) {
        return new Stop(head, way, passes, refusal, sources, remarks, other);
    }

    /** The refusal as a whole sentence that names the stop. */
    public Optional<String> refusalSentence() {
        return refusal.map(r -> "Stop %d (%s): %s".formatted(number(), name(), r.sentence()));
    }
}
