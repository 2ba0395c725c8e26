package dev.oleander.work.sheet.plan;

import dev.oleander.book.CutDataException;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Compensation;
import dev.oleander.machine.Machine.Habits;
import dev.oleander.machine.Machine.TabRule;
import dev.oleander.plan.stop.FeatureNames;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Pass;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Source;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.choice.CornerForm;
import dev.oleander.work.sheet.choice.CutKind;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.SmallHoles;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.CornerLoops;
import dev.oleander.work.sheet.cut.HouseRecipe;
import dev.oleander.work.sheet.cut.KerfPath;
import dev.oleander.work.sheet.cut.SmallHoleRule;
import dev.oleander.work.sheet.cut.TabWish;
import dev.oleander.work.sheet.cut.Turn;
import dev.oleander.work.sheet.lead.KeptField;
import dev.oleander.work.sheet.lead.LeadFit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/** Drafts the cut of one feature: side, data, the path half a kerf away, the leads wished for. */
final class FeatureCutter {

    /** Values that come from the row of the cut book. */
    private static final List<String> OF_DATA = List.of("kerf", "feed", "offset");

    /** Tabs of a part that could tip. */
    private static final int TIPPING = 2;

    private final CutBook book;
    private final String material;
    private final double thickness;
    private final Ways ways;
    private final KerfPath rounded = new KerfPath(false);
    private final KerfPath sharp = new KerfPath(true);

    FeatureCutter(CutBook book, String material, double thickness, Ways ways) {
        this.book = book;
        this.material = material;
        this.thickness = thickness;
        this.ways = ways;
    }

    /** What holds for the whole job, and how its machine is worked with. */
    record Ways(SheetTask task, Habits habits) {

        PlanChoices choices(Feature feature) {
            return task.choices(feature);
        }

        /** What the recipes say of a feature. */
        StopChoice recipe(Feature feature) {
            return choices(feature).recipeFor(feature, CutKind.of(feature).word());
        }
    }

    /** Whether a hole is drilled later, be its centre marked or not. */
    boolean isDrilled(Feature feature, StopChoice choice) {
        SmallHoles rule = ways.choices(feature).smallHoles();
        boolean byRule = rule == SmallHoles.MARK || rule == SmallHoles.DRILL;
        StopChoice all = choice.over(ways.recipe(feature));
        if (!byRule || all.side() != null) {
            return false;
        }
        try {
            return SmallHoleRule.isSmall(feature, rowFor(feature, all));
        } catch (CutDataException noData) {
            return false;
        }
    }

    private CutRow rowFor(Feature feature, StopChoice choice) {
        String quality =
                choice.quality() != null ? choice.quality() : ways.choices(feature).quality();
        return book.find(material, thickness, quality);
    }

    /**
     * The draft of a feature that runs with the scrap on the given side.
     *
     * @param here what a person set for it
     * @param kept material beside it
     */
    Draft draft(Feature feature, StopChoice here, Turn turn, KeptField kept) {
        return new Work(feature, here, turn, kept).draft();
    }

    /** The side on which the scrap lies, by the reading. */
    static Side scrapSide(Feature feature) {
        return switch (feature.kind()) {
            case OUTLINE -> Side.OUTSIDE;
            case OPENING -> Side.INSIDE;
            case OPEN -> Side.ON;
        };
    }

    /** What a stop is called. */
    static String name(Feature feature, Stop.Kind kind) {
        boolean centre = feature.purpose() == Purpose.CUT && kind == Stop.Kind.MARK;
        return (centre ? "Centre of " : "") + FeatureNames.of(feature);
    }

    private final class Work {
        private final Feature feature;
        private final StopChoice here;
        private final StopChoice recipe;
        private final StopChoice choice;
        private final Turn turn;
        private final KeptField kept;
        private final Map<String, Source> sources = new TreeMap<>();
        private final Stop.Kind kind;
        private final Side side;
        private boolean slows;

        Work(Feature feature, StopChoice here, Turn turn, KeptField kept) {
            this.kept = kept;
            this.feature = feature;
            this.here = here;
            this.recipe = ways.recipe(feature);
            this.choice = here.over(recipe);
            this.turn = turn;
            this.kind = isDrilled(feature, here) ? Stop.Kind.MARK : kindOf(feature);
            this.side = chooseSide();
        }

        private static Stop.Kind kindOf(Feature feature) {
            if (feature.purpose() == Purpose.MARK) {
                return Stop.Kind.MARK;
            }
            return feature.isClosed() ? Stop.Kind.PROFILE : Stop.Kind.LINE;
        }

        /** What was set of a value, with where that was; null when nothing was. */
        private <T> T set(String name, Function<StopChoice, T> value, Source otherwise) {
            T ofRecipe = value.apply(recipe);
            Source source = ofRecipe != null ? Source.RECIPE : otherwise;
            sources.put(name, value.apply(here) != null ? Source.HERE : source);
            return value.apply(choice);
        }

        private Side chooseSide() {
            boolean free = kind == Stop.Kind.PROFILE;
            Side wanted = set("side", c -> free ? c.side() : null, Source.READING);
            if (wanted != null) {
                return wanted;
            }
            return free ? scrapSide(feature) : Side.ON;
        }

        Draft draft() {
            CutRow row;
            try {
                row = findRow();
            } catch (CutDataException missing) {
                Point place = feature.chain().start();
                return refused(
                        null,
                        new Refusal(
                                Refusal.Kind.NO_DATA, missing.getMessage(), place, thickness, 0));
            }
            if (kind != Stop.Kind.PROFILE) {
                return done(row, null, alongLine(), Lead.NONE, Lead.NONE, 0, TabWish.NONE, null);
            }
            CornerForm corners = set("corners", StopChoice::corners, Source.RECIPE);
            // a controller that offsets the path goes round corners in its own way
            boolean asIs =
                    corners == null
                            || corners == CornerForm.ROUND
                            || compensation() == Compensation.CONTROLLER;
            KerfPath.Result result = (asIs ? rounded : sharp).of(feature, side, row.kerf(), turn);
            if (result.path().isEmpty()) {
                return refused(row, result.refusal().orElseThrow());
            }
            Contour path = result.path().get();
            return round(!asIs && corners == CornerForm.LOOP ? looped(path, row) : path, row);
        }

        private Contour looped(Contour path, CutRow row) {
            double half = row.kerf() / 2 - LeadFit.TOUCH;
            return new CornerLoops(
                            row.lead() / 2,
                            turn,
                            loop ->
                                    loop.stream()
                                            .allMatch(
                                                    s ->
                                                            kept.along(s, row.kerf()).distance()
                                                                    >= half))
                    .along(path);
        }

        private CutRow findRow() {
            set("data", StopChoice::quality, Source.JOB);
            OF_DATA.forEach(name -> sources.put(name, Source.BOOK));
            CutRow row = rowFor(feature, choice);
            if (row.interpolated()) {
                OF_DATA.forEach(name -> sources.put(name, Source.INTERPOLATED));
            }
            slows =
                    ways.choices(feature).smallHoles() == SmallHoles.SLOW
                            && SmallHoleRule.isSmall(feature, row);
            if (slows) {
                sources.put("feed", Source.RECIPE);
            }
            return row;
        }

        /** Marks and open lines run on the line itself, from its start to its end. */
        private List<Segment> alongLine() {
            return feature.purpose() == Purpose.CUT && kind == Stop.Kind.MARK
                    ? SmallHoleRule.centreMark(feature).segments()
                    : feature.chain().segments();
        }

        private Draft round(Contour path, CutRow row) {
            Lead in = leadIn(path, row);
            Lead out = leadOut(row);
            set("start", StopChoice::start, Source.FOUND);
            Typed past = set("overRun", StopChoice::overRun, Source.BOOK);
            double overRun = past != null ? past.value() : row.overRun();
            return done(row, path, List.of(), in, out, overRun, tabs(row), null);
        }

        private Lead leadIn(Contour path, CutRow row) {
            boolean hole = feature.circleDiameter().isPresent() && side == Side.INSIDE;
            LeadKind kind = choice.leadIn().kind();
            Lead base =
                    kind == null
                            ? HouseRecipe.leadIn(path, hole, row)
                            : HouseRecipe.ofKind(kind, row);
            Lead lead = chosen("leadIn", base, StopChoice::leadIn);
            boolean needsLine = compensation() != Compensation.PATH && !lead.kind().hasLine();
            return needsLine ? HouseRecipe.withLine(lead, row) : lead;
        }

        private Lead leadOut(CutRow row) {
            LeadKind wanted = choice.leadOut().kind();
            return chosen(
                    "leadOut",
                    HouseRecipe.ofKind(wanted == null ? LeadKind.NONE : wanted, row),
                    StopChoice::leadOut);
        }

        private Lead chosen(String name, Lead base, Function<StopChoice, LeadChoice> of) {
            set(name, c -> of.apply(c).kind(), Source.RECIPE);
            Typed length = set(name + "Length", c -> of.apply(c).length(), Source.BOOK);
            Typed angle = set(name + "Angle", c -> of.apply(c).angle(), Source.RECIPE);
            Typed radius = set(name + "Radius", c -> of.apply(c).radius(), Source.BOOK);
            return new Lead(
                    base.kind(),
                    length != null ? length.value() : base.length(),
                    angle != null ? angle.value() : base.angle(),
                    radius != null ? radius.value() : base.radius());
        }

        /** As chosen; else two on a part that could tip or fall between the slats. */
        private TabWish tabs(CutRow row) {
            TabRule rule = ways.habits().tabs();
            Typed count = set("tabs", c -> c.tabs().count(), Source.RECIPE);
            Typed spacing = set("tabSpacing", c -> c.tabs().spacing(), Source.RECIPE);
            Typed length = set("tabLength", c -> c.tabs().length(), Source.BOOK);
            List<Typed> at = choice.tabs().at();
            int wanted = tips(rule) && at.isEmpty() ? TIPPING : 0;
            if (count != null) {
                wanted = (int) count.value();
            } else if (spacing != null) {
                wanted = (int) Math.max(1, feature.chain().length() / spacing.value());
            }
            double uncut = length != null ? length.value() : rule.length();
            boolean lifts = rule.liftFrom() > 0 && thickness >= rule.liftFrom();
            // the kerf is round at both ends of the gap and eats half a width of it at each
            return new TabWish(
                    wanted, uncut + row.kerf(), lifts, at.stream().map(Typed::value).toList());
        }

        private boolean tips(TabRule rule) {
            boolean part = feature.kind() == Feature.Kind.OUTLINE && side == Side.OUTSIDE;
            return part
                    && feature.chain().box().width() < rule.tipsBelow()
                    && feature.chain().box().height() < rule.tipsBelow();
        }

        private Draft refused(CutRow row, Refusal refusal) {
            return done(row, null, List.of(), Lead.NONE, Lead.NONE, 0, TabWish.NONE, refusal);
        }

        private Draft done(
                CutRow row,
                Contour loop,
                List<Segment> line,
                Lead in,
                Lead out,
                double overRun,
                TabWish tabs,
                Refusal refusal) {
            List<Pass> passes = row == null ? List.of() : passes(row);
            return new Draft(
                    feature,
                    here,
                    choice,
                    kind,
                    side,
                    turn,
                    row,
                    passes,
                    loop,
                    line,
                    in,
                    out,
                    overRun,
                    tabs,
                    compensation(),
                    sources,
                    refusal);
        }

        /** Lines and cuts on the line are not offset by anybody. */
        private Compensation compensation() {
            Compensation set = set("compensation", StopChoice::compensation, Source.RECIPE);
            boolean offset = kind == Stop.Kind.PROFILE && side != Side.ON;
            if (!offset) {
                return Compensation.PATH;
            }
            return set == null ? ways.habits().compensation() : set;
        }

        private List<Pass> passes(CutRow row) {
            double offset = side == Side.ON ? 0 : row.kerf() / 2;
            if (kind == Stop.Kind.MARK) {
                return List.of(new Pass(1, offset, row.markFeed(), false));
            }
            Typed times = set("passes", StopChoice::passes, Source.RECIPE);
            Boolean film = set("film", StopChoice::film, Source.RECIPE);
            double feed = slows ? row.feed() * SmallHoleRule.slowness(feature, row) : row.feed();
            List<Pass> passes = new ArrayList<>();
            if (Boolean.TRUE.equals(film)) {
                passes.add(new Pass(1, offset, row.markFeed(), true));
            }
            for (int i = 0; i < (times == null ? 1 : (int) times.value()); i++) {
                passes.add(new Pass(passes.size() + 1, offset, feed, false));
            }
            return passes;
        }
    }
}
