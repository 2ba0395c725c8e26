package dev.oleander.work.sheet;

import static dev.oleander.value.Value.listed;
import static dev.oleander.value.Value.oneOf;
import static dev.oleander.value.Value.text;
import static dev.oleander.value.Value.yesOrNo;

import dev.oleander.machine.Compensation;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Constants;
import dev.oleander.value.Entry;
import dev.oleander.value.Places;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import dev.oleander.work.Task;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.choice.CornerForm;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.SmallHoles;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.choice.TabChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/** What people set for stops on sheets, and for a job on a sheet. Lengths mm, angles degrees. */
final class SheetValues {

    private static final String A_TAB = "A tab's place";

    /** Tabs put by hand; the values that add and take away one are ways to type it. */
    private static final String TABS_AT = "tabs.at";

    static final List<Value<StopChoice>> OF_STOPS =
            Stream.of(
                            Stream.of(side(), quality()),
                            lead("leadIn", "lead-in", StopChoice::leadIn, StopChoice::withLeadIn)
                                    .used(Stop::leadIn),
                            lead(
                                            "leadOut",
                                            "lead-out",
                                            StopChoice::leadOut,
                                            StopChoice::withLeadOut)
                                    .used(Stop::leadOut),
                            along(),
                            tabs(),
                            ways())
                    .flatMap(values -> values)
                    .toList();

    static final List<Value<PlanChoices>> OF_JOBS = List.of(qualityOfJob(), smallHoles());

    private SheetValues() {}

    private static Value<StopChoice> side() {
        Constants<Side> sides =
                new Constants<>(
                        List.of(Side.INSIDE, Side.OUTSIDE, Side.ON), Side::word, Side::word);
        return oneOf("side", "side", sides, StopChoice::side, StopChoice::withSide)
                .label("Head runs", "")
                .used(CutStop.class, c -> c.stop().side().word());
    }

    private static Value<StopChoice> quality() {
        return listed(
                        "quality",
                        "cut data",
                        SheetValues::qualities,
                        StopChoice::quality,
                        StopChoice::withQuality)
                .label("Cut data", "")
                .from("data")
                .used(
                        CutStop.class,
                        c -> SheetCut.of(c.stop()).row().map(CutRow::quality).orElse(""));
    }

    private static List<Word> qualities(List<Subject<StopChoice>> stops) {
        return stops.stream()
                .limit(1)
                .flatMap(s -> s.work(CutStop.class).stream())
                .flatMap(c -> c.qualities().stream())
                .map(Word::same)
                .toList();
    }

    // ---- leads

    /** The values of a lead; {@code what} is what it is called. */
    private record LeadValues(
            String word,
            String what,
            Function<StopChoice, LeadChoice> get,
            BiFunction<StopChoice, LeadChoice, StopChoice> put) {

        Stream<Value<StopChoice>> used(Function<Stop, Lead> of) {
            return Stream.of(
                    form().used(CutStop.class, c -> of.apply(c.stop()).kind().word()),
                    size("length", "Length", LeadChoice::length, LeadChoice::withLength)
                            .used(CutStop.class, number(c -> of.apply(c.stop()).length())),
                    size("radius", "Radius", LeadChoice::radius, LeadChoice::withRadius)
                            .used(CutStop.class, number(c -> of.apply(c.stop()).radius())),
                    angle().used(CutStop.class, number(c -> of.apply(c.stop()).angle())));
        }

        private Value<StopChoice> form() {
            Constants<LeadKind> kinds =
                    new Constants<>(
                            List.of(LeadKind.values()),
                            LeadKind::word,
                            kind -> kind == LeadKind.LINE_ARC ? "both" : kind.word());
            return oneOf(
                            word + ".kind",
                            "form of the " + what,
                            kinds,
                            (StopChoice stop) -> get.apply(stop).kind(),
                            (stop, kind) -> put.apply(stop, get.apply(stop).withKind(kind)))
                    .label("Form", "")
                    .from(word);
        }

        private Value<StopChoice> size(
                String of,
                String label,
                Function<LeadChoice, Typed> value,
                BiFunction<LeadChoice, Typed, LeadChoice> with) {
            return part(of, label, "mm", 0.05, 500, value, with);
        }

        private Value<StopChoice> angle() {
            return part("angle", "Angle", "°", 1, 180, LeadChoice::angle, LeadChoice::withAngle);
        }

        private Value<StopChoice> part(
                String of,
                String label,
                String unit,
                double least,
                double most,
                Function<LeadChoice, Typed> value,
                BiFunction<LeadChoice, Typed, LeadChoice> with) {
            return Value.number(
                            word + "." + of,
                            of + " of the " + what,
                            Value.<StopChoice>between(least, most),
                            stop -> value.apply(get.apply(stop)),
                            (stop, typed) -> put.apply(stop, with.apply(get.apply(stop), typed)))
                    .label(label, unit)
                    .from(word + label);
        }
    }

    private static LeadValues lead(
            String word,
            String what,
            Function<StopChoice, LeadChoice> get,
            BiFunction<StopChoice, LeadChoice, StopChoice> put) {
        return new LeadValues(word, what, get, put);
    }

    private static Function<CutStop, String> number(ToDoubleFunction<CutStop> value) {
        return cut -> Numbers.plain(value.applyAsDouble(cut), 3);
    }

    private static Stream<Value<StopChoice>> along() {
        return Stream.of(
                Value.number(
                                "start",
                                "start point",
                                Value.<StopChoice>between(0, 1e6),
                                StopChoice::start,
                                StopChoice::withStart)
                        .label("Starts at", "mm")
                        .used(CutStop.class, number(c -> SheetCut.of(c.stop()).startAt())),
                Value.number(
                                "overRun",
                                "over-run",
                                Value.<StopChoice>between(0, 100),
                                StopChoice::overRun,
                                StopChoice::withOverRun)
                        .label("Over-run", "mm")
                        .used(CutStop.class, number(c -> c.stop().overRun())));
    }

    // ---- tabs

    private static Stream<Value<StopChoice>> tabs() {
        return Stream.of(
                Value.number(
                                "tabs.count",
                                "number of tabs",
                                Value.<StopChoice>wholeBetween(0, 99),
                                stop -> stop.tabs().count(),
                                (stop, count) -> stop.withTabs(stop.tabs().withCount(count)))
                        .label("Tabs", "")
                        .from("tabs")
                        .used(CutStop.class, number(c -> c.stop().tabs().size())),
                Value.number(
                                "tabs.spacing",
                                "spacing of the tabs",
                                Value.<StopChoice>between(5, 10_000),
                                stop -> stop.tabs().spacing(),
                                (stop, spacing) -> stop.withTabs(stop.tabs().withSpacing(spacing)))
                        .label("One every", "mm")
                        .from("tabSpacing"),
                Value.number(
                                "tabs.length",
                                "length of the tabs",
                                Value.<StopChoice>between(0.05, 50),
                                stop -> stop.tabs().length(),
                                (stop, length) -> stop.withTabs(stop.tabs().withLength(length)))
                        .label("Length", "mm")
                        .from("tabLength")
                        .used(CutStop.class, number(CutStop::uncut)),
                tabsByHand(TABS_AT, "tabs put by hand", SheetValues::put),
                tabsByHand("tabs.add", "another tab", SheetValues::oneMore),
                tabsByHand("tabs.remove", "one tab less", SheetValues::oneLess),
                tabsByHand("tabs.put", "places of all tabs", SheetValues::hold));
    }

    private static Value<StopChoice> tabsByHand(
            String word, String name, BiFunction<TabChoice, Entry, TabChoice> change) {
        return text(
                word,
                name,
                stop -> word.equals(TABS_AT) ? Places.text(stop.tabs().at()) : "",
                (stop, entry) -> stop.withTabs(change.apply(stop.tabs(), entry)));
    }

    private static TabChoice put(TabChoice tabs, Entry entry) {
        return tabs.withAt(entry.places(A_TAB));
    }

    /** Only at these places. */
    private static TabChoice hold(TabChoice tabs, Entry entry) {
        TabChoice at = Places.isNone(entry) ? tabs.withAt(List.of()) : put(tabs, entry);
        return at.withSpacing(null).withCount(entry.isEmpty() ? null : Typed.of(0));
    }

    private static TabChoice oneMore(TabChoice tabs, Entry entry) {
        return tabs.withAt(Places.oneMore(tabs.at(), entry, A_TAB));
    }

    /** Takes away the tab put by hand that lies nearest to the place. */
    private static TabChoice oneLess(TabChoice tabs, Entry entry) {
        return tabs.withAt(Places.oneLess(tabs.at(), entry, A_TAB));
    }

    // ---- corners and passes

    private static Stream<Value<StopChoice>> ways() {
        return Stream.of(
                oneOf(
                                "corners",
                                "form of corners",
                                Constants.worded(CornerForm.values()),
                                StopChoice::corners,
                                StopChoice::withCorners)
                        .label("Corners", "")
                        .usually(
                                stop ->
                                        Optional.of(
                                                Optional.ofNullable(stop.set().corners())
                                                        .orElse(CornerForm.ROUND)
                                                        .word())),
                Value.number(
                                "passes",
                                "number of passes",
                                Value.<StopChoice>wholeBetween(1, 50),
                                StopChoice::passes,
                                StopChoice::withPasses)
                        .label("Passes", "")
                        .used(CutStop.class, number(CutStop::cuttingPasses)),
                yesOrNo(
                                "film",
                                "burning the film first",
                                List.of(Word.same("yes"), Word.same("no")),
                                StopChoice::film,
                                StopChoice::withFilm)
                        .label("Burn film first", "")
                        .used(CutStop.class, c -> c.burnsFilm() ? "yes" : "no"),
                oneOf(
                                "compensation",
                                "compensation",
                                Constants.worded(Compensation.values())
                                        .labelled(SheetValues::whoOffsets),
                                StopChoice::compensation,
                                StopChoice::withCompensation)
                        .label("Offset by", "")
                        .used(CutStop.class, c -> c.stop().compensation().word()));
    }

    private static String whoOffsets(Compensation compensation) {
        return switch (compensation) {
            case PATH -> "program";
            case CONTROLLER -> "controller";
            case BOTH -> "both";
        };
    }

    // ---- of a job

    private static Value<PlanChoices> qualityOfJob() {
        return listed(
                        "quality",
                        "cut data",
                        SheetValues::qualitiesOfJob,
                        PlanChoices::quality,
                        (choices, word) ->
                                choices.withQuality(
                                        word == null ? PlanChoices.defaults().quality() : word))
                .label("Cut data", "");
    }

    /** With the one chosen where the book has no data for it. */
    private static List<Word> qualitiesOfJob(List<Subject<PlanChoices>> jobs) {
        List<Word> words = new ArrayList<>();
        for (Subject<PlanChoices> job : jobs) {
            Task<?> task = job.work(Task.class).orElseThrow();
            List<String> known =
                    ((CutBook) task.book())
                            .qualities(task.order().material(), task.order().thickness());
            known.forEach(quality -> words.add(Word.same(quality)));
            String chosen = job.set().quality();
            if (!known.contains(chosen)) {
                words.add(new Word(chosen, chosen + ": no data"));
            }
        }
        return words;
    }

    private static Value<PlanChoices> smallHoles() {
        return oneOf(
                        "smallHoles",
                        "what is done with small holes",
                        Constants.worded(SmallHoles.values()).labelled(SmallHoles::label),
                        PlanChoices::smallHoles,
                        PlanChoices::withSmallHoles)
                .label("Small holes", "");
    }
}
