package dev.oleander.web.job.document;

import dev.oleander.drawing.draw.DrawStep;
import dev.oleander.drawing.draw.Stamp;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * What people decided about the drawing of a job.
 *
 * @param files ids of the drawing files, side by side in this order; none when all is drawn here
 * @param unit taken instead of what the files say; null: as they say
 * @param fit mm; how far lines and arcs may lie from curves
 * @param rules purposes by layer, colour and line type
 * @param features purpose by feature, before all rules
 * @param turned features of which the other side is kept
 * @param settled keys of faults that were left as they are
 * @param gap mm; ends closer than this are joined without asking
 * @param mending what is mended
 * @param steps what was drawn and changed here
 * @param revision what a new version of the drawing changed and nobody has taken over yet
 * @param stamp what texts say of the job
 */
public record ShapeChoices(
        List<Long> files,
        LengthUnit unit,
        Typed fit,
        PurposeRules rules,
        Map<String, Purpose> features,
        SortedSet<String> turned,
        SortedSet<String> settled,
        Typed gap,
        SortedSet<MendOptions.Step> mending,
        List<DrawStep> steps,
        Revision revision,
        Stamp stamp) {

    /**
     * Open questions of a new version of the drawing.
     *
     * @param stale ids of features that moved or changed; their cuts follow the old drawing
     * @param lost what is gone, with its old place
     */
    public record Revision(SortedSet<String> stale, List<Lost> lost) {

        public static final Revision NONE = new Revision(new TreeSet<>(), List.of());

        public Revision {
            stale = sorted(stale);
            lost = List.copyOf(lost);
        }
    }

    /** A feature of the old drawing that the new one does not have; its place in mm. */
    public record Lost(String feature, String name, double x, double y) {}

    public ShapeChoices {
        files = List.copyOf(files);
        features = Map.copyOf(features);
        turned = sorted(turned);
        settled = sorted(settled);
        mending = sorted(mending);
        steps = List.copyOf(steps);
        // documents from before texts knew of their job have none
        stamp = stamp == null ? Stamp.NONE : stamp;
    }

    private static <T extends Comparable<T>> SortedSet<T> sorted(Collection<T> values) {
        return Collections.unmodifiableSortedSet(new TreeSet<>(values));
    }

    public static ShapeChoices of(List<Long> files) {
        return new ShapeChoices(
                files,
                null,
                Typed.of(0.01),
                PurposeRules.NONE,
                Map.of(),
                new TreeSet<>(),
                new TreeSet<>(),
                Typed.of(0.05),
                new TreeSet<>(MendOptions.USUAL),
                List.of(),
                Revision.NONE,
                Stamp.NONE);
    }

    public ShapeChoices withUnit(LengthUnit value) {
        return change().unit(value).build();
    }

    public ShapeChoices withFit(Typed value) {
        return change().fit(value).build();
    }

    public ShapeChoices withRules(PurposeRules value) {
        return change().rules(value).build();
    }

    public ShapeChoices withLayer(String layer, Purpose purpose) {
        return withRules(rules.with(PurposeRules.By.LAYER, layer, purpose));
    }

    /** Null takes the purpose of the rules again. */
    public ShapeChoices withFeature(String feature, Purpose purpose) {
        Map<String, Purpose> changed = new TreeMap<>(features);
        if (purpose == null) {
            changed.remove(feature);
        } else {
            changed.put(feature, purpose);
        }
        return withFeatures(changed);
    }

    public ShapeChoices withFeatures(Map<String, Purpose> value) {
        return change().features(value).build();
    }

    /** The other side of a feature is kept, or the first one again. */
    public ShapeChoices withTurned(String feature) {
        TreeSet<String> changed = new TreeSet<>(turned);
        if (!changed.remove(feature)) {
            changed.add(feature);
        }
        return withTurned(changed);
    }

    public ShapeChoices withTurned(Collection<String> value) {
        return change().turned(value).build();
    }

    /** A fault is left as it is, or asked about again. */
    public ShapeChoices withSettled(String key) {
        TreeSet<String> changed = new TreeSet<>(settled);
        if (!changed.remove(key)) {
            changed.add(key);
        }
        return change().settled(changed).build();
    }

    public ShapeChoices withMending(Typed newGap, Collection<MendOptions.Step> what) {
        return change().gap(newGap).mending(what).build();
    }

    public ShapeChoices withSteps(List<DrawStep> value) {
        return change().steps(value).build();
    }

    /** One more step. */
    public ShapeChoices plus(DrawStep step) {
        List<DrawStep> more = new ArrayList<>(steps);
        more.add(step);
        return withSteps(more);
    }

    /** Other files in place of these. */
    public ShapeChoices withFiles(List<Long> value, Revision open) {
        return change().files(value).revision(open).build();
    }

    public ShapeChoices withRevision(Revision value) {
        return change().revision(value).build();
    }

    /** The same for a job, if any text says something of it. */
    public ShapeChoices stamped(Function<Collection<String>, Stamp> job) {
        Stamp now = Stamp.isUsed(steps) ? job.apply(Stamp.counters(steps)) : Stamp.NONE;
        return now.equals(stamp) ? this : change().stamp(now).build();
    }

    /** Name for the next step: d and the first number that none has. */
    public String nextStep() {
        int most =
                steps.stream()
                        .map(s -> s.id().substring(1))
                        .mapToInt(Integer::parseInt)
                        .max()
                        .orElse(0);
        return "d" + (most + 1);
    }

    private Change change() {
        return new Change(this);
    }

    /** Values on their way into a new record, so that each copy names only what it changes. */
    private static final class Change {
        private List<Long> files;
        private LengthUnit unit;
        private Typed fit;
        private PurposeRules rules;
        private Map<String, Purpose> features;
        private Collection<String> turned;
        private Collection<String> settled;
        private Typed gap;
        private Collection<MendOptions.Step> mending;
        private List<DrawStep> steps;
        private Revision revision;
        private Stamp stamp;

        Change(ShapeChoices from) {
            files = from.files;
            unit = from.unit;
            fit = from.fit;
            rules = from.rules;
            features = from.features;
            turned = from.turned;
            settled = from.settled;
            gap = from.gap;
            mending = from.mending;
            steps = from.steps;
            revision = from.revision;
            stamp = from.stamp;
        }

        Change files(List<Long> value) {
            files = value;
            return this;
        }

        Change unit(LengthUnit value) {
            unit = value;
            return this;
        }

        Change fit(Typed value) {
            fit = value;
            return this;
        }

        Change rules(PurposeRules value) {
            rules = value;
            return this;
        }

        Change features(Map<String, Purpose> value) {
            features = value;
            return this;
        }

        Change turned(Collection<String> value) {
            turned = value;
            return this;
        }

        Change settled(Collection<String> value) {
            settled = value;
            return this;
        }

        Change gap(Typed value) {
            gap = value;
            return this;
        }

        Change mending(Collection<MendOptions.Step> value) {
            mending = value;
            return this;
        }

        Change steps(List<DrawStep> value) {
            steps = value;
            return this;
        }

        Change revision(Revision value) {
            revision = value;
            return this;
        }

        Change stamp(Stamp value) {
            stamp = value;
            return this;
        }

        ShapeChoices build() {
            return new ShapeChoices(
                    files,
                    unit,
                    fit,
                    rules,
                    features,
                    new TreeSet<>(turned),
                    new TreeSet<>(settled),
                    gap,
                    new TreeSet<>(mending),
                    steps,
                    revision,
                    stamp);
        }
    }
}
