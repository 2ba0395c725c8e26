package dev.oleander.web.api;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import dev.oleander.motion.MotionItem;
import java.util.List;
import java.util.Map;

/**
 * The records of the HTTP interface. Lengths mm, areas mm2, angles degrees, times s, feeds mm/min;
 * places are pairs of x and y. Field names are part of the contract.
 */
final class ApiJson {

    private ApiJson() {}

    record StageJson(String state, List<String> needs) {}

    record JobJson(
            long id,
            int step,
            String name,
            String machine,
            String material,
            double thickness,
            int quantity,
            Map<String, StageJson> stages) {}

    /**
     * How far the plan of a job is.
     *
     * @param state waiting, running, done, stopped or failed
     * @param share done, 0 to 1
     * @param result address of what was asked for
     */
    record WorkJson(String state, double share, String message, String result) {}

    /** A job in the list; {@code next} is what has to be done. */
    record JobLine(
            long id,
            String name,
            String machine,
            String material,
            double thickness,
            int quantity,
            String stage,
            String next) {}

    record BoxJson(double[] min, double[] max) {}

    record ContourJson(
            String id,
            String part,
            boolean closed,
            String kind,
            String purpose,
            String layer,
            int depth,
            double length,
            double area,
            int lines,
            int arcs,
            Double circleDiameter,
            String parent,
            String form,
            String startHoleOf,
            List<String> entities) {}

    record HoleJson(double diameter, int count, List<String> contours) {}

    /** Openings of one named form: slot, keyhole, rectangle, polygon; sizes in mm. */
    record FormJson(
            String kind,
            String label,
            double length,
            double width,
            double radius,
            int sides,
            int count,
            List<String> contours) {}

    /** A part that is equal to an earlier one. */
    record CopyJson(String part, String of, boolean mirrored) {}

    record FaultJson(String kind, double[] place, double size, boolean mended, String sentence) {}

    record SkippedJson(String entity, String layer, int count, String why) {}

    record ReadingJson(
            String units,
            boolean unitsDeclared,
            BoxJson box,
            int parts,
            List<ContourJson> contours,
            List<HoleJson> holes,
            double keptArea,
            double cutLength,
            List<FaultJson> faults,
            List<SkippedJson> skipped,
            List<FormJson> forms,
            List<CopyJson> copies,
            Map<String, String> purposes,
            FitsJson fits) {}

    /** Curves that became lines and arcs, within a tolerance in mm. */
    record FitsJson(int curves, int segments, double tolerance) {}

    record SecondsJson(
            double total, double cutting, double travel, double piercing, double people) {}

    record LeadJson(String kind, double length, double angle, double radius) {}

    record PassJson(int number, double offset, double feed, double seconds) {}

    /**
     * {@code refusal} says why a stop is not cut; null when it is. {@code ofWork} are fields of its
     * kind of work, beside the others.
     */
    record StopJson(
            String id,
            int number,
            String contour,
            String part,
            int copy,
            String kind,
            String name,
            String side,
            String direction,
            String compensation,
            LeadJson leadIn,
            LeadJson leadOut,
            double[] start,
            double[] pierce,
            double overRun,
            List<PassJson> passes,
            List<TabJson> tabs,
            double commonLine,
            boolean comesLow,
            List<double[]> cornersThere,
            List<EventJson> events,
            Map<String, String> sources,
            List<String> remarks,
            String refusal,
            @JsonAnyGetter Map<String, Object> ofWork) {}

    /** What happens at a stop besides its cut. */
    record EventJson(String kind, String when, double amount, String text) {}

    /** A tab: distances along the path, mm. */
    record TabJson(double from, double to, boolean lifts) {}

    /**
     * Where a copy lies.
     *
     * @param x and {@code y}: where the zero of the drawing is, mm
     * @param turn degrees anticlockwise, before which it is mirrored
     */
    record PlacementJson(int copy, double x, double y, double turn, boolean mirrored) {}

    record RunJson(
            String machine,
            String order,
            SecondsJson seconds,
            List<PlacementJson> placements,
            List<StopJson> stops,
            @JsonAnyGetter Map<String, Object> ofWork) {}

    /**
     * A run of a job: one clamping of stock.
     *
     * @param count how often it is done, with a sheet each time
     * @param copies numbers of the first and the last copy on the first of these sheets
     * @param stock width and height, mm
     * @param seconds of one sheet
     */
    record SetUpJson(
            int number,
            int count,
            int[] copies,
            double[] stock,
            List<MadeJson> parts,
            List<MissingJson> missing,
            int stops,
            SecondsJson seconds) {}

    /**
     * @param source id of the job that the part is of
     * @param placed on all sheets of the run
     */
    record MadeJson(long source, String part, int placed) {}

    /** What the job asks for and does not get. */
    record MissingJson(String part, int count, String why) {}

    record MotionJson(List<MotionItem> items) {}

    record RuleJson(String id, String title, int checked, int findings) {}

    record FindingJson(
            String id,
            String rule,
            String severity,
            String stop,
            double[] place,
            double t,
            double value,
            double limit,
            String sentence,
            String accepted,
            List<String> stops) {}

    record ProofJson(
            List<RuleJson> rules,
            List<FindingJson> findings,
            SecondsJson seconds,
            boolean releasable) {}

    /**
     * A file of a release.
     *
     * @param run the set-up that it belongs to, from 1
     * @param count how often that is cut
     */
    record ProgramJson(int number, String name, int run, int count, int lines, String sha256) {}

    record ReleaseJson(
            long id,
            long job,
            String revision,
            String machine,
            String dialect,
            int dialectVersion,
            String fileName,
            String sha256,
            String previousSha256,
            double greatestDeviation,
            double seconds,
            String releasedBy,
            String releasedAt) {}

    record MachineJson(
            String id,
            String name,
            String process,
            String dialect,
            double[] travel,
            double rapid,
            double acceleration,
            double hourlyRate,
            List<String> materials) {}

    record DialectJson(String name, String title, int version) {}

    record ReadBackJson(MotionJson motion, List<ProblemJson> problems) {}

    record ProblemJson(int line, int column, String sentence) {}
}
