package dev.oleander.work.wire.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.offset.OffsetException;
import dev.oleander.geometry.offset.OffsetOptions;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCopy;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireRoom;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireTask;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.flank.ElementChain;
import dev.oleander.work.wire.flank.FlankPlanner;
import dev.oleander.work.wire.flank.LeanCheck;
import dev.oleander.work.wire.flank.ProfileWork;
import dev.oleander.work.wire.hold.HoldCheck;
import dev.oleander.work.wire.hold.Holds;
import dev.oleander.work.wire.hold.Holds.Hold;
import dev.oleander.work.wire.hold.HolePlacer;
import dev.oleander.work.wire.hold.Rings;
import dev.oleander.work.wire.hold.StartFinder;
import dev.oleander.work.wire.hold.Stretches;
import dev.oleander.work.wire.plan.StopCutter.Subject;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/** Plans one feature of one copy: hole, start, flanks, passes. Serves many threads. */
final class SubjectPlanner {

    /** mm beyond the stock that come from rounding. */
    private static final double OUTSIDE = 1e-6;

    private final WireTask task;
    private final WireChoices choices;
    private final Subjects subjects;
    private final SheetLayout layout;
    private final Map<String, Feature> features;
    private final SettingsResolver resolver;
    private final Neighbours neighbours;

    SubjectPlanner(
            WireTask task,
            WireChoices choices,
            Subjects subjects,
            SheetLayout layout,
            Reading reading,
            List<Task> all) {
        this.task = task;
        this.choices = choices;
        this.subjects = subjects;
        this.layout = layout;
        this.features = reading.byId();
        this.resolver = new SettingsResolver(task, choices);
        this.neighbours = new Neighbours(all);
    }

    /** A feature where a copy lies. */
    record Task(Feature feature, WireCopy copy) {

        String id() {
            return FeatureKey.of(feature.id(), copy.number()).text();
        }

        Transform placed() {
            return copy.placement().transform();
        }
    }

    SubjectPlan plan(Task wanted) {
        WireKind kind = kind(wanted);
        try {
            return new Work(wanted, kind).plan();
        } catch (RefusedException refused) {
            Stop stop =
                    WireStops.refused(
                            wanted.feature(), wanted.copy().number(), kind, refused.refusal());
            return new SubjectPlan(
                    wanted.id(),
                    List.of(stop),
                    List.of(),
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    List.of());
        }
    }

    private WireKind kind(Task wanted) {
        if (subjects.isSet(wanted.feature())) {
            return wanted.copy().punches() ? WireKind.PUNCH : WireKind.OPENING;
        }
        return subjects.kindOf(wanted.feature());
    }

    private final class Work {
        private final Task wanted;
        private final Feature feature;
        private final Transform placed;
        private final WireSettings settings;
        private final WireChoice choice;
        private final Chain chain;

        Work(Task wanted, WireKind kind) {
            this.wanted = wanted;
            this.feature = wanted.feature();
            this.placed = wanted.placed();
            int copy = wanted.copy().number();
            this.choice = resolver.choice(feature, copy, kind);
            this.settings = resolver.resolve(feature, copy, kind);
            this.chain = drawn().transformed(placed);
        }

        private Chain drawn() {
            boolean shrinks = wanted.copy().punches() && choices.clearance() != null;
            if (!shrinks || choices.clearance().value() == 0) {
                return feature.chain();
            }
            double clearance = choices.clearance().value();
            Offsetter sharp = new Offsetter(OffsetOptions.defaults().withMitres(4));
            try {
                List<Region> smaller = sharp.offset(feature.contour(), -clearance);
                if (smaller.size() == 1) {
                    return smaller.get(0).outer();
                }
            } catch (OffsetException impossible) {
                // said below
            }
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.TOO_NARROW,
                            "the punch falls apart when it is made smaller by the clearance of %s."
                                    .formatted(Numbers.length(clearance)),
                            feature.chain().start(),
                            clearance,
                            clearance));
        }

        SubjectPlan plan() {
            if (settings.kind() == WireKind.OPEN) {
                return new OpenCutter(
                                task,
                                layout,
                                feature,
                                wanted.copy().placement(),
                                settings,
                                choice,
                                neighbours.others(wanted))
                        .plan();
            }
            Contour contour = (Contour) chain;
            requireInside(contour);
            StartHole hole =
                    new HoleChooser(task, placer(), wanted)
                            .choose(contour, settings.kind(), choice, subjects.holesOf(feature));
            double start =
                    new StartFinder(contour, settings)
                            .find(hole.at(), value(choice.entry().start()));
            boolean forward = settings.anticlockwise() == contour.isAnticlockwise();
            double length = contour.length();
            Stretches stretches = new Stretches(contour);
            double clear = StartFinder.clear(settings);
            List<Hold> holds = Holds.of(settings, length, stretches, start, forward, clear);
            Holds.Ends ends =
                    Holds.Ends.of(
                            settings,
                            length,
                            holds,
                            along -> {
                                double drawn = forward ? start + along : start - along;
                                double away = stretches.away(drawn, clear);
                                return forward ? away - start : start - away;
                            });
            ElementChain elements =
                    ElementChain.of(contour, forward, start, ends.places(settings, length, holds));
            boolean outwardLeft = !settings.anticlockwise();
            FlankPlanner.Planned flanks =
                    new FlankPlanner(task, features, settings, choice, placed)
                            .plan(elements, contour, forward, start);
            List<Ruling> surface = flanks.surface();
            ProfileWork work =
                    new ProfileWork(
                            elements,
                            settings,
                            outwardLeft,
                            flanks.source(),
                            room(surface, hole.at()));
            Subject subject =
                    new Subject(wanted.id(), feature.id(), wanted.copy().number(), hole.at());
            StopCutter cutter =
                    new StopCutter(
                            subject,
                            settings,
                            length,
                            holds,
                            ends,
                            work,
                            WireUnit.of(task.machine()).holdSeconds());
            requireRoom(contour);
            List<WireVisit> visits =
                    settings.slug() == SlugHandling.CORELESS
                            ? cutter.coreless(rings(contour, hole.at()))
                            : cutter.visits(choices.rule());
            requireLean(visits);
            new HoldCheck(settings, WireUnit.of(task.machine()).leastWeb(task.height()))
                    .require(visits);
            List<Stop> stops =
                    visits.stream().map(v -> WireStops.of(feature, settings, v)).toList();
            return new SubjectPlan(
                    wanted.id(),
                    stops,
                    visits,
                    Optional.of(settings),
                    Optional.of(hole),
                    surface,
                    neighbours.inside(wanted, contour));
        }

        private void requireLean(List<WireVisit> visits) {
            LeanCheck check = new LeanCheck(WireUnit.of(task.machine()), task.height());
            for (WireVisit visit : visits) {
                for (WireCut cut : visit.cuts()) {
                    if (cut.isLeaning()) {
                        check.require(cut.way());
                    }
                }
            }
        }

        // ---- room

        private HolePlacer placer() {
            return new HolePlacer(p -> neighbours.clear(wanted, p), layout.stock());
        }

        /** With a land only the first pass runs along the surface, the others as it is drawn. */
        private ProfileWork.RoomSource room(List<Ruling> surface, Point hole) {
            WireRoom drawn = WireRoom.upright(and(chain));
            WireRoom leaning =
                    new WireRoom(
                            and(Ruling.closed(surface, Ruling::lower)),
                            and(Ruling.closed(surface, Ruling::upper)));
            boolean relief = settings.taper().land() != null;
            return new ProfileWork.RoomSource() {
                @Override
                public WireRoom of(int pass) {
                    return relief && pass > 1 ? drawn : leaning;
                }

                @Override
                public Optional<Point> hole() {
                    return Optional.of(hole);
                }
            };
        }

        private ToDoubleFunction<Point> and(Chain own) {
            ToDoubleFunction<Point> others = neighbours.others(wanted);
            return p -> Math.min(others.applyAsDouble(p), own.nearest(p).point().distance(p));
        }

        private void requireInside(Contour contour) {
            Box box = contour.box();
            double beyond = box.beyond(layout.stock());
            if (beyond > OUTSIDE) {
                throw new RefusedException(
                        new Refusal(
                                Refusal.Kind.OUTSIDE,
                                "it reaches %s beyond the edge of the stock. Take a larger stock or repeat it less far."
                                        .formatted(Numbers.length(beyond)),
                                box.centre(),
                                beyond,
                                0));
            }
        }

        /** What is wider than the wire nowhere falls apart when it is offset as a whole. */
        private void requireRoom(Contour contour) {
            double offset = settings.row().greatestOffset();
            boolean opening = settings.kind() == WireKind.OPENING;
            try {
                List<Region> regions =
                        Offsetter.round().offset(contour, opening ? -offset : offset);
                boolean whole = regions.size() == 1 && regions.get(0).openings().isEmpty();
                if (whole) {
                    return;
                }
            } catch (OffsetException impossible) {
                // said below
            }
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.TOO_NARROW,
                            "somewhere it is narrower than the %s that the wire needs for pass 1 (rough). Take a thinner wire."
                                    .formatted(Numbers.length(2 * offset)),
                            contour.start(),
                            2 * offset,
                            2 * offset));
        }

        private List<Segment> rings(Contour contour, Point hole) {
            if (settings.taper().leans() || choice.upper() != null) {
                throw new RefusedException(
                        new Refusal(
                                Refusal.Kind.TAPER,
                                "an opening with leaning flanks cannot be eroded completely: its rings stand upright and would leave material. Leave a slug.",
                                contour.start(),
                                0,
                                0));
            }
            double offset = settings.row().offset(1);
            double step = settings.step() * settings.row().width(1);
            return new Rings(contour, offset, step).way(hole);
        }
    }

    private static Double value(Typed typed) {
        return typed == null ? null : typed.value();
    }
}
