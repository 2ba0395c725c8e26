package dev.oleander.web.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.motion.RunMotion;
import dev.oleander.plan.Run;
import dev.oleander.plan.sheet.SheetPlan;
import java.util.function.UnaryOperator;

/** The latest plan and motion of each shape, so that a small change need not plan all anew. */
final class LatestPlans {

    private static final int MOST = 30;

    /** By identity: shapes are kept as long as their documents are looked at. */
    private final Cache<Shape, SheetPlan> plans = cache();

    private final Cache<Shape, RunMotion> motions = cache();

    private static <T> Cache<Shape, T> cache() {
        return Caffeine.newBuilder().weakKeys().maximumSize(MOST).build();
    }

    /**
     * @param making makes a plan from the latest one, which may be null
     */
    SheetPlan plan(Shape shape, UnaryOperator<SheetPlan> making) {
        SheetPlan made = making.apply(plans.getIfPresent(shape));
        plans.put(shape, made);
        return made;
    }

    RunMotion motion(Shape shape, Run run) {
        RunMotion earlier = motions.getIfPresent(shape);
        RunMotion made = earlier == null ? RunMotion.of(run) : earlier.next(run);
        motions.put(shape, made);
        return made;
    }
}
