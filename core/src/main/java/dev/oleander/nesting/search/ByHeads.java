package dev.oleander.nesting.search;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.Heads;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestFigures;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestProgress;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestScore;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.Sheets;
import dev.oleander.nesting.Stretch;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * Nests for several heads that cut at once: first the zone of one of them, with as many of each
 * line as come out even; then what is odd, by one head, beside the zones on their sheets or on
 * sheets of its own.
 */
final class ByHeads {

    /** Rounds for what is odd: few parts, done in seconds. */
    private static final int ODD_ROUNDS = 12;

    private final NestTask task;
    private final NestBudget budget;
    private final NestProgress progress;
    private final Heads heads;
    private final NestRules single;
    private final Map<String, Stretch> zones = new HashMap<>();

    /** Sheets shared by stretches on which something is fixed stay as they are. */
    private final List<NestedSheet> kept;

    ByHeads(NestTask task, NestBudget budget, NestProgress progress) {
        this.task = task;
        this.budget = budget;
        this.progress = progress;
        this.heads = task.rules().heads().orElseThrow();
        this.single = task.rules().withHeads(Optional.empty());
        for (SheetStock stock : task.stock()) {
            heads.pitchOn(stock, task.rules())
                    .ifPresent(pitch -> zones.put(stock.id(), Stretch.of(heads, pitch)));
        }
        this.kept = task.locked().stream().filter(ByHeads::isShared).toList();
    }

    private static boolean isShared(NestedSheet sheet) {
        return sheet.part().from() > 0 || !sheet.part().reachesEnd();
    }

    Nest nest() {
        Optional<NestTask> even = even();
        if (even.isEmpty()) {
            return odd(List.of())
                    .map(odd -> whole(List.of(), odd.by(budget, 0), 0))
                    .orElseGet(() -> none(List.of()));
        }
        double[] seconds = {0};
        NestProgress ofZones =
                (best, now) -> {
                    seconds[0] = now;
                    return progress.at(told(zones(best.sheets()), best), now);
                };
        Nest found = Nester.ofOneHead(even.get(), budget, ofZones);
        List<NestedSheet> zones = zones(found.sheets());
        return odd(zones)
                .map(odd -> whole(zones, odd.by(once(), seconds[0]), found.tests()))
                .map(all -> counted(all, found))
                .orElseGet(() -> counted(none(zones), found));
    }

    /** The rounds of the zones are those that find the same again: of what is odd all are done. */
    private static Nest counted(Nest all, Nest zones) {
        return new Nest(all.sheets(), all.score(), zones.rounds(), zones.explored(), all.tests());
    }

    private NestBudget once() {
        return NestBudget.ofRounds(
                        ODD_ROUNDS, (int) (ODD_ROUNDS * NestBudget.EXPLORE), budget.seed())
                .withThreads(budget.threads());
    }

    /** The zones; empty when no line has so many parts, or no sheet is high enough. */
    private Optional<NestTask> even() {
        List<NestedSheet> locked = of(task.locked(), true);
        Map<String, Integer> alone = Sheets.placed(of(task.locked(), false));
        Sheets.placed(kept).forEach((line, n) -> alone.merge(line, n, Integer::sum));
        List<OrderLine> lines = new ArrayList<>();
        for (OrderLine line : task.lines()) {
            int free = line.quantity() - alone.getOrDefault(line.id(), 0);
            if (free >= heads.count()) {
                lines.add(line.of(line.id(), line.shape(), free / heads.count()));
            }
        }
        List<SheetStock> stock = new ArrayList<>();
        Map<String, Long> taken = Sheets.used(of(task.locked(), false));
        Sheets.used(kept).forEach((id, n) -> taken.merge(id, n, Long::sum));
        for (SheetStock sheet : task.stock()) {
            if (zones.containsKey(sheet.id())) {
                NestedSheet empty = new NestedSheet(sheet.id(), List.of(), zones.get(sheet.id()));
                stock.add(alike(sheet.id(), task.sheet(empty), left(sheet, taken)));
            }
        }
        if (lines.isEmpty() || stock.isEmpty()) {
            return Optional.empty();
        }
        // what lies beside a zone is counted over the whole height of the sheet, not of the zone
        NestTask even = new NestTask(lines, stock, single.withoutRemnant(), plain(locked));
        return Optional.of(even.from(fitting(even, of(task.start(), true))));
    }

    private static SheetStock alike(String id, SheetStock of, Optional<Integer> count) {
        return new SheetStock(id, of.region(), count, of.price(), of.grain(), of.remnant());
    }

    private static Optional<Integer> left(SheetStock sheet, Map<String, Long> taken) {
        long used = taken.getOrDefault(sheet.id(), 0L);
        return sheet.count().map(n -> (int) Math.max(0, n - used));
    }

    /** Sheets cut by all heads, or by one; without those that are shared. */
    private static List<NestedSheet> of(List<NestedSheet> sheets, boolean several) {
        return sheets.stream()
                .filter(s -> s.heads() > 1 == several && (several || !isShared(s)))
                .filter(
                        s ->
                                !isShared(s)
                                        || s.placements().stream().noneMatch(NestPlacement::locked))
                .toList();
    }

    private static List<NestedSheet> plain(List<NestedSheet> sheets) {
        return sheets.stream().map(s -> s.on(null)).toList();
    }

    /** What to go on from: no more than is asked for, and of sheets that there are. */
    private static List<NestedSheet> fitting(NestTask of, List<NestedSheet> sheets) {
        Map<String, Integer> free = new HashMap<>();
        of.lines().forEach(line -> free.put(line.id(), line.quantity()));
        List<String> known = of.stock().stream().map(SheetStock::id).toList();
        List<NestedSheet> there = sheets.stream().filter(s -> known.contains(s.stock())).toList();
        return Sheets.without(plain(there), p -> free.merge(p.line(), -1, Integer::sum) < 0);
    }

    private List<NestedSheet> zones(List<NestedSheet> found) {
        return found.stream().map(sheet -> sheet.on(zones.get(sheet.stock()))).toList();
    }

    /** What is left for one head. */
    private Optional<Odd> odd(List<NestedSheet> evenly) {
        Map<String, Integer> placed = Sheets.placed(evenly);
        Sheets.placed(kept).forEach((line, n) -> placed.merge(line, n, Integer::sum));
        List<OrderLine> lines = new ArrayList<>();
        for (OrderLine line : task.lines()) {
            int left = line.quantity() - placed.getOrDefault(line.id(), 0);
            if (left > 0) {
                lines.add(line.of(line.id(), line.shape(), left));
            }
        }
        return lines.isEmpty() ? Optional.empty() : Optional.of(new Odd(evenly, lines));
    }

    private Nest none(List<NestedSheet> evenly) {
        return whole(evenly, new Nest(List.of(), null, 0, 0, 0), 0);
    }

    /** All sheets as one nest. */
    private Nest whole(List<NestedSheet> evenly, Nest odd, long tests) {
        List<NestedSheet> all = new ArrayList<>(kept);
        all.addAll(ended(evenly, odd.sheets()));
        all.addAll(odd.sheets());
        List<NestedSheet> joined = Sheets.joined(all);
        return new Nest(joined, score(joined), odd.rounds(), odd.explored(), tests + odd.tests());
    }

    private Nest told(List<NestedSheet> evenly, Nest of) {
        List<NestedSheet> all = new ArrayList<>(kept);
        all.addAll(evenly);
        List<NestedSheet> joined = Sheets.joined(all);
        return new Nest(joined, score(joined), of.rounds(), of.explored(), of.tests());
    }

    /** Zones end where something odd begins beside them; the last of equal ones do. */
    private List<NestedSheet> ended(List<NestedSheet> evenly, List<NestedSheet> odd) {
        List<NestedSheet> all = new ArrayList<>(evenly);
        for (NestedSheet beside : odd) {
            for (int i = all.size() - 1; i >= 0 && beside.part().from() > 0; i--) {
                NestedSheet zone = all.get(i);
                boolean ends = zone.part().reachesEnd() && zone.stock().equals(beside.stock());
                if (ends && end(zone) == beside.part().from()) {
                    all.set(i, zone.on(zone.part().upTo(beside.part().from())));
                    break;
                }
            }
        }
        return all;
    }

    /** mm from the left edge of the sheet to where something else may begin. */
    private double end(NestedSheet zone) {
        double left = task.sheet(zone.stock()).region().box().min().x();
        return reach(zone, box -> box.max().x()) - left + task.widestGap() / 2;
    }

    private double reach(NestedSheet sheet, ToDoubleFunction<Box> side) {
        return sheet.placements().stream()
                .map(p -> task.line(p.line()).shape().transformed(p.transform()).box())
                .mapToDouble(side)
                .max()
                .orElse(0);
    }

    private NestScore score(List<NestedSheet> sheets) {
        NestFigures figures = NestFigures.of(task, sheets);
        double[] missing = new double[Model.PRIORITIES];
        figures.left()
                .forEach(
                        (id, n) -> {
                            OrderLine line = task.line(id);
                            missing[line.priority() - 1] += n * line.shape().area();
                        });
        double front =
                sheets.isEmpty() ? 0 : reach(sheets.get(sheets.size() - 1), b -> b.max().x());
        return new NestScore(missing, figures.cost(), front);
    }

    /** The search for what one head cuts. */
    private final class Odd {

        private final List<NestedSheet> evenly;
        private final List<OrderLine> lines;
        private final Map<String, NestedSheet> besides = new LinkedHashMap<>();

        Odd(List<NestedSheet> evenly, List<OrderLine> lines) {
            this.evenly = evenly;
            this.lines = lines;
        }

        /**
         * @param before s that were spent
         */
        Nest by(NestBudget with, double before) {
            NestTask odd = task();
            if (odd.stock().isEmpty()) {
                return new Nest(List.of(), null, 0, 0, 0);
            }
            NestProgress ofOdd =
                    (best, now) -> progress.at(whole(evenly, laid(best), 0), before + now);
            return laid(Nester.ofOneHead(odd, with, ofOdd));
        }

        private NestTask task() {
            List<SheetStock> stock = new ArrayList<>(rests());
            Map<String, Long> used = Sheets.used(evenly);
            Sheets.used(kept).forEach((id, n) -> used.merge(id, n, Long::sum));
            task.stock().forEach(s -> stock.add(alike(s.id(), s, left(s, used))));
            NestTask odd = new NestTask(lines, stock, single, of(task.locked(), false));
            return odd.from(fitting(odd, of(task.start(), false)));
        }

        /** What lies beside the zones, for what it could be sold for as a remnant. */
        private List<SheetStock> rests() {
            Map<NestedSheet, Integer> times = new LinkedHashMap<>();
            evenly.forEach(zone -> times.merge(zone, 1, Integer::sum));
            List<SheetStock> rests = new ArrayList<>();
            times.forEach(
                    (zone, n) -> {
                        SheetStock whole = task.sheet(zone.stock());
                        Stretch beside = new Stretch(1, 0, end(zone), null);
                        Box sheet = whole.region().box();
                        if (beside.from() < sheet.width() - single.margin()) {
                            String id = "beside %d".formatted(besides.size() + 1);
                            besides.put(id, new NestedSheet(zone.stock(), List.of(), beside));
                            rests.add(rest(id, besides.get(id), n));
                        }
                    });
            return rests;
        }

        private SheetStock rest(String id, NestedSheet empty, int times) {
            SheetStock of = task.sheet(empty);
            Box box = of.region().box();
            double worth =
                    single.remnant()
                            .filter(r -> Math.min(box.width(), box.height()) >= r.least())
                            .map(r -> r.share() * of.price())
                            .orElse(0.0);
            return new SheetStock(
                    id,
                    new Region(Contour.rectangle(box), List.of()),
                    Optional.of(times),
                    worth,
                    of.grain(),
                    of.remnant());
        }

        private Nest laid(Nest found) {
            List<NestedSheet> sheets = new ArrayList<>();
            for (NestedSheet sheet : found.sheets()) {
                NestedSheet beside = besides.get(sheet.stock());
                sheets.add(beside == null ? sheet : beside.with(sheet.placements()));
            }
            return new Nest(sheets, found.score(), found.rounds(), found.explored(), found.tests());
        }
    }
}
