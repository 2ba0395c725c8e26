package dev.oleander.web.work.router;

import dev.oleander.motion.Timeline;
import dev.oleander.progress.Progress;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.work.router.RouterRun;
import java.nio.ByteBuffer;
import java.util.Optional;

/**
 * How finely round work is asked for.
 *
 * @param columns along the axis
 * @param angles once round
 * @param t machine time, s; null: the end
 */
record RoundPicture(Integer columns, Integer angles, Double t) {

    private static final int MOST_COLUMNS = 600;
    private static final int MOST_ANGLES = 1440;

    /**
     * @throws RefusedEditException when it is out of limits
     */
    RoundPicture {
        within("columns", columns, MOST_COLUMNS);
        within("angles", angles, MOST_ANGLES);
        if (t != null && !(t >= 0)) {
            throw new RefusedEditException("t is %s s; it must be at least 0.".formatted(t));
        }
    }

    private static void within(String what, Integer count, int most) {
        if (count == null || count < 1 || count > most) {
            throw new RefusedEditException(
                    "%s %s; there are 1 to %d.".formatted(count, what, most));
        }
    }

    /**
     * Columns and angles, two bytes each, the turn of the work at the moment as a number of four
     * bytes, then depths towards the axis as in {@link HeightsWindow#picture}, angle after angle.
     *
     * @throws NotFoundException when the stock is flat
     */
    byte[] of(RouterRun run) {
        if (run.plan().task().round().isEmpty()) {
            throw new NotFoundException("The stock is flat: nothing turns.");
        }
        Timeline timeline = run.timeline(Progress.NONE);
        Optional<Double> moment = Optional.ofNullable(t);
        float[] depths = run.roundMaterial().at(timeline, moment, columns, angles);
        ByteBuffer bytes = ByteBuffer.allocate(8 + 2 * depths.length);
        bytes.putShort((short) (int) columns).putShort((short) (int) angles);
        bytes.putFloat((float) timeline.poseAt(moment.orElse(timeline.total())).turn());
        HeightsWindow.put(depths, bytes);
        return bytes.array();
    }
}
