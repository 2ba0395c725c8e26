package dev.oleander.work.wire.plan;

import dev.oleander.book.CutDataException;
import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Box;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Source;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.choice.HoldStop;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.choice.WireLead;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireTask;
import dev.oleander.work.wire.hold.Rings;
import dev.oleander.work.wire.hold.Stretches;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;

/** Finds the values of a stop: what was set for it, by a recipe, for the job, or what is usual. */
final class SettingsResolver {

    /** mm; openings narrower than this are eroded completely. */
    private static final double CORELESS_BELOW = 4;

    private static final double STEP = 0.45;
    private static final double HOLD_SHARE = 0.08;
    private static final double LEAST_HOLD = 1;
    private static final double MOST_HOLD = 5;
    private static final double OVERLAP = 0.3;
    private static final double LEAD = 1.5;

    /** mm; shorter pieces of elements are not made. */
    private static final double LEAST_PIECE = 0.1;

    private static final double MM3_PER_M3 = 1e9;

    private final WireTask task;
    private final WireChoices choices;

    SettingsResolver(WireTask task, WireChoices choices) {
        this.task = task;
        this.choices = choices;
    }

    /** Values of a choice by where they come from, the deciding one first. */
    private record Layers(WireChoice here, WireChoice recipe, WireChoice job) {}

    /**
     * @throws RefusedException when a value is impossible, or the book has no data
     */
    WireSettings resolve(Feature feature, int copy, WireKind kind) {
        return new Resolution(feature, layers(feature, copy, kind), kind).settings();
    }

    private Layers layers(Feature feature, int copy, WireKind kind) {
        return new Layers(
                choices.of(feature.id(), copy),
                choices.recipeFor(feature, kind.word()),
                choices.all());
    }

    /** What a person set for a stop, over the recipe and the job. */
    WireChoice choice(Feature feature, int copy, WireKind kind) {
        Layers layers = layers(feature, copy, kind);
        return layers.here().over(layers.recipe()).over(layers.job());
    }

    private final class Resolution {
        private final Feature feature;
        private final Layers layers;
        private final WireKind kind;
        private final Map<String, Source> sources = new TreeMap<>();

        Resolution(Feature feature, Layers layers, WireKind kind) {
            this.feature = feature;
            this.layers = layers;
            this.kind = kind;
        }

        WireSettings settings() {
            WireRow row = row();
            sources.put("data", row.interpolated() ? Source.INTERPOLATED : Source.BOOK);
            double most = row.passes().size();
            int passes =
                    (int) number("passes", c -> c.passes().count(), most, Source.BOOK, 1, most);
            SlugHandling slug = value("slug", c -> c.slug().handling(), usualSlug(), Source.FOUND);
            double length = feature.chain().length();
            double usualHold = usualHold(length, row);
            boolean die = kind == WireKind.OPENING;
            return new WireSettings(
                    kind,
                    row,
                    passes,
                    value("direction", c -> c.entry().anticlockwise(), die, Source.FOUND),
                    value("alternate", c -> c.passes().alternate(), true, Source.RECIPE),
                    value("lead", c -> c.entry().lead(), WireLead.DIRECT, Source.RECIPE),
                    number(
                            "leadLength",
                            c -> c.entry().leadLength(),
                            LEAD,
                            Source.RECIPE,
                            0.1,
                            100),
                    overlap(),
                    number(
                            "backOff",
                            c -> c.entry().backOff(),
                            WireUnit.of(task.machine()).backOff(),
                            Source.BOOK,
                            0.01,
                            20),
                    slug,
                    number(
                            "hold",
                            c -> c.slug().hold(),
                            usualHold,
                            Source.FOUND,
                            LEAST_PIECE,
                            length),
                    (int) number("holds", c -> c.slug().count(), 2, Source.RECIPE, 1, 20),
                    Optional.ofNullable(any(c -> c.slug().at())).orElse(List.of()),
                    value("holdStop", c -> c.slug().stop(), HoldStop.ALWAYS, Source.RECIPE),
                    value("reversed", c -> c.slug().reversed(), true, Source.RECIPE),
                    // of a part, when somebody holds it
                    value("offSkims", c -> c.slug().offSkims(), die || isHeld(), Source.RECIPE),
                    number("step", c -> c.slug().step(), STEP, Source.RECIPE, 0.1, Rings.MOST),
                    value(
                            "compensation",
                            c -> c.passes().compensation(),
                            task.machine().habits().compensation(),
                            Source.BOOK),
                    taper(),
                    sources);
        }

        /** As wide as is usual, as far as there is room for it between two corners. */
        private double usualHold(double length, WireRow row) {
            double least = leastHold(row);
            double wished = Math.max(least, Math.min(MOST_HOLD, HOLD_SHARE * length));
            double room = new Stretches(feature.chain()).longest() - 4 * row.greatestOffset();
            return Math.max(least, Math.min(wished, room));
        }

        private boolean isHeld() {
            return any(c -> c.slug().stop()) != HoldStop.NEVER;
        }

        /** So wide that something is left of it on a curve too, where its ends come nearer. */
        private double leastHold(WireRow row) {
            double web = WireUnit.of(task.machine()).leastWeb(task.height());
            Box box = feature.chain().box();
            double radius = Math.max(box.width(), box.height()) / 2;
            double nearer = Math.max(0.5, 1 - row.greatestOffset() / radius);
            double least = Math.max(LEAST_HOLD, (web + row.width(1)) / nearer);
            return Math.ceil(least * 100) / 100;
        }

        private TaperChoice taper() {
            value("angle", c -> c.taper().angle(), null, Source.RECIPE);
            value("corners", c -> c.taper().corners(), null, Source.RECIPE);
            value("land", c -> c.taper().land(), null, Source.RECIPE);
            return layers.here().taper().over(layers.recipe().taper()).over(layers.job().taper());
        }

        /** A piece that is too short has no direction left when its ends are written. */
        private double overlap() {
            double overlap =
                    number("overlap", c -> c.entry().overlap(), OVERLAP, Source.RECIPE, 0, 50);
            if (overlap > 0 && overlap < LEAST_PIECE) {
                throw new RefusedException(
                        new Refusal(
                                Refusal.Kind.HOLD,
                                "the overlap is %s mm; it must be 0 or at least %s mm."
                                        .formatted(
                                                Numbers.plain(overlap, 4),
                                                Numbers.plain(LEAST_PIECE, 2)),
                                feature.chain().start(),
                                overlap,
                                LEAST_PIECE));
            }
            return overlap;
        }

        private WireRow row() {
            List<String> wires = task.book().wires();
            String wire = choices.wire() != null || wires.isEmpty() ? choices.wire() : wires.get(0);
            List<String> finishes = task.book().finishes(wire, task.material());
            String usual =
                    finishes.isEmpty() ? null : finishes.get(Math.max(0, finishes.size() - 2));
            String forJob = choices.finish() == null ? usual : choices.finish();
            String finish =
                    value(
                            "finish",
                            c -> c.passes().finish(),
                            forJob,
                            choices.finish() == null ? Source.BOOK : Source.JOB);
            try {
                return task.book().find(wire, task.material(), task.height(), finish);
            } catch (CutDataException none) {
                throw new RefusedException(
                        new Refusal(
                                Refusal.Kind.NO_DATA,
                                none.getMessage(),
                                feature.chain().start(),
                                task.height(),
                                task.height()));
            }
        }

        private SlugHandling usualSlug() {
            if (kind == WireKind.OPEN) {
                return SlugHandling.STOP_BEFORE;
            }
            if (kind == WireKind.PUNCH) {
                return SlugHandling.HOLD_LATER;
            }
            boolean upright = !taper().leans() && any(WireChoice::upper) == null;
            Box box = feature.chain().box();
            if (upright && Math.min(box.width(), box.height()) < CORELESS_BELOW) {
                return SlugHandling.CORELESS;
            }
            double mass = feature.area() * task.height() / MM3_PER_M3 * task.density();
            return upright && mass > 0 && mass < WireUnit.of(task.machine()).dropMass()
                    ? SlugHandling.DROP
                    : SlugHandling.HOLD_LATER;
        }

        private <T> T any(Function<WireChoice, T> of) {
            for (WireChoice layer : List.of(layers.here(), layers.recipe(), layers.job())) {
                if (of.apply(layer) != null) {
                    return of.apply(layer);
                }
            }
            return null;
        }

        private <T> T value(String name, Function<WireChoice, T> of, T usual, Source usualSource) {
            if (of.apply(layers.here()) != null) {
                sources.put(name, Source.HERE);
                return of.apply(layers.here());
            }
            if (of.apply(layers.recipe()) != null) {
                sources.put(name, Source.RECIPE);
                return of.apply(layers.recipe());
            }
            if (of.apply(layers.job()) != null) {
                sources.put(name, Source.JOB);
                return of.apply(layers.job());
            }
            sources.put(name, usualSource);
            return usual;
        }

        private double number(
                String name,
                Function<WireChoice, Typed> of,
                double usual,
                Source usualSource,
                double least,
                double most) {
            Typed set = value(name, of, null, usualSource);
            if (set == null) {
                return usual;
            }
            if (!(set.value() >= least && set.value() <= most)) {
                throw new RefusedException(
                        new Refusal(
                                Refusal.Kind.HOLD,
                                "%s is %s; it must lie between %s and %s."
                                        .formatted(
                                                name,
                                                Numbers.plain(set.value(), 4),
                                                Numbers.plain(least, 4),
                                                Numbers.plain(most, 4)),
                                feature.chain().start(),
                                set.value(),
                                most));
            }
            return set.value();
        }
    }
}
