package dev.oleander.web.bench;

import dev.oleander.geometry.Point;
import dev.oleander.material.MaterialState;
import dev.oleander.material.Rest;
import dev.oleander.motion.Item;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Profile;
import dev.oleander.motion.Program;
import dev.oleander.motion.Rise;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import tools.jackson.databind.annotation.JsonSerialize;

/**
 * What the replay plays over the {@link Scene}; apart from it since most of its numbers are not
 * needed for the first picture. Lengths mm, times s.
 *
 * @param step of the job that it belongs to
 * @param motion rows: kind, x, y, bulge, time at the end, index of the stop, entry speed, peak
 *     speed, exit speed, acceleration. Kinds: 0 rapid with the head up, 1 feed, 2 event, 3 rapid
 *     with the head down, 4 feed without the process. Where there are heights, then height and turn
 *     at the end, mm and degrees
 * @param pieces that come free, in order: index of the stop, index of the motion that closes it, 1
 *     for a part and 0 for waste, what becomes of it: 1 it rests, 2 it can tip, 3 it falls
 * @param halts indexes of motions at which the program stops for people
 */
public record Replay(
        int step,
        @JsonSerialize(using = ShortNumbers.class) List<double[]> motion,
        List<int[]> pieces,
        int[] halts) {

    private static final int HIGH_RAPID = 0;
    private static final int FEED = 1;
    private static final int EVENT = 2;
    private static final int LOW_RAPID = 3;
    private static final int IDLE_FEED = 4;

    /** Steps per mm/s and mm/s². */
    private static final double SPEEDS = 1e3;

    /** Empty while there is no plan. */
    static Replay of(int step, JobResult result) {
        if (!result.isPlanned()) {
            return new Replay(step, List.of(), List.of(), new int[0]);
        }
        Map<String, Integer> index = new HashMap<>();
        for (Stop stop : result.run().stops()) {
            index.put(stop.id(), index.size());
        }
        Timeline timeline = result.timeline();
        return new Replay(
                step,
                motion(timeline, index),
                pieces(result.material(), index),
                halts(timeline.program()));
    }

    private static List<int[]> pieces(MaterialState material, Map<String, Integer> index) {
        return material.pieces().stream()
                .filter(p -> p.rest() != Rest.HELD)
                .map(
                        p ->
                                new int[] {
                                    index.get(p.stop().id()),
                                    p.item(),
                                    p.kept() ? 1 : 0,
                                    p.rest().ordinal()
                                })
                .toList();
    }

    private static int[] halts(Program program) {
        return IntStream.range(0, program.size())
                .filter(
                        i ->
                                program.items().get(i) instanceof Item.Event e
                                        && e.kind().isForPeople())
                .toArray();
    }

    private static List<double[]> motion(Timeline timeline, Map<String, Integer> index) {
        List<double[]> rows = new ArrayList<>(timeline.program().size());
        Point at = Point.ORIGIN;
        boolean down = false;
        Pose pose = Pose.FLAT;
        boolean deep =
                timeline.program().items().stream().anyMatch(item -> item.rise() != Rise.FLAT);
        for (int i = 0; i < timeline.program().size(); i++) {
            Item item = timeline.program().items().get(i);
            double bulge = 0;
            int kind = EVENT;
            if (item instanceof Item.Rapid rapid) {
                at = rapid.to();
                kind = down ? LOW_RAPID : HIGH_RAPID;
            } else if (item instanceof Item.AtFeed feed) {
                at = feed.end();
                bulge = feed.way().map(SceneBuilder::bulge).orElse(0.0);
                kind = feed.on() ? FEED : IDLE_FEED;
            } else if (item instanceof Item.Event event) {
                down = event.kind().isDownAfter(down);
            }
            Profile p = timeline.profiles().get(i);
            pose = item instanceof Item.Event ? pose : item.rise().to();
            double[] row =
                    new double[] {
                        kind,
                        SceneBuilder.rounded(at.x()),
                        SceneBuilder.rounded(at.y()),
                        bulge,
                        SceneBuilder.rounded(timeline.ends()[i]),
                        index.getOrDefault(item.origin().stop(), -1),
                        speed(p.entry()),
                        speed(p.peak()),
                        speed(p.exit()),
                        speed(p.acceleration())
                    };
            rows.add(deep ? with(row, pose) : row);
        }
        return rows;
    }

    private static double[] with(double[] row, Pose pose) {
        double[] deep = Arrays.copyOf(row, row.length + 2);
        deep[row.length] = SceneBuilder.rounded(pose.z());
        deep[row.length + 1] = SceneBuilder.rounded(pose.turn());
        return deep;
    }

    private static double speed(double value) {
        return Math.rint(value * SPEEDS) / SPEEDS;
    }
}
