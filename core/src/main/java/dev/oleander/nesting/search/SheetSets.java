package dev.oleander.nesting.search;

import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.SheetStock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Which sheets may be used together: every choice with room enough, the cheapest first. */
final class SheetSets {

    /** Sets with more room than this many times what is needed only waste sheets. */
    private static final double AMPLE = 2.2;

    private static final int MOST = 20_000;
    private static final int KEPT = 300;
    private static final double USUAL = 0.75;

    private final Model model;
    private final double needed;
    private final List<Room> lockedRooms = new ArrayList<>();
    private final List<List<NestPlacement>> locked = new ArrayList<>();
    private final List<SheetSet> found = new ArrayList<>();

    private SheetSets(Model model) {
        this.model = model;
        this.needed = model.needed();
        for (NestedSheet sheet : model.task.locked()) {
            lockedRooms.add(model.room(model.task.sheet(sheet.stock()), sheet.placements()));
            locked.add(sheet.placements());
        }
    }

    /** The most promising first; when everything there is has too little room, that alone. */
    static List<SheetSet> of(Model model) {
        SheetSets sets = new SheetSets(model);
        sets.choose(0, new ArrayList<>(), 0);
        sets.addStart();
        if (sets.found.isEmpty()) {
            return List.of(sets.everything());
        }
        sets.found.sort(
                Comparator.comparingDouble(
                        s -> s.expected(sets.needed, USUAL, model.task.rules())));
        return List.copyOf(sets.found.subList(0, Math.min(KEPT, sets.found.size())));
    }

    private void choose(int kind, List<Room> chosen, double area) {
        if (found.size() >= MOST) {
            return;
        }
        if (kind == model.task.stock().size()) {
            add(chosen);
            return;
        }
        SheetStock stock = model.task.stock().get(kind);
        Room room = model.room(stock);
        int most = most(stock, room, area);
        List<Room> more = new ArrayList<>(chosen);
        for (int n = 0; n <= most; n++) {
            choose(kind + 1, more, area + n * room.area);
            more.add(room);
        }
    }

    private int most(SheetStock stock, Room room, double area) {
        long used = lockedRooms.stream().filter(r -> r.stock == stock).count();
        int there = stock.count().map(c -> (int) Math.max(0, c - used)).orElse(Integer.MAX_VALUE);
        if (!(room.area > 0)) {
            return 0;
        }
        int enough = (int) Math.ceil(Math.max(0, AMPLE * needed - area) / room.area);
        return Math.min(there, enough);
    }

    private void add(List<Room> chosen) {
        SheetSet set = set(chosen);
        boolean enough = set.area() >= needed && !set.rooms().isEmpty();
        double least = chosen.stream().mapToDouble(r -> r.area).min().orElse(0);
        boolean wasteful = chosen.size() > 1 && set.area() - least > AMPLE * needed;
        if (enough && !wasteful) {
            found.add(set);
        }
    }

    /** The sheets that the task begins with, whatever room they have. */
    private void addStart() {
        List<Room> begun =
                model.task.start().stream()
                        .map(sheet -> model.room(model.task.sheet(sheet.stock())))
                        .toList();
        SheetSet start = set(begun);
        if (!begun.isEmpty() && found.stream().noneMatch(s -> s.rooms().equals(start.rooms()))) {
            found.add(start);
        }
    }

    private SheetSet everything() {
        List<Room> all = new ArrayList<>();
        for (SheetStock stock : model.task.stock()) {
            Room room = model.room(stock);
            for (int i = most(stock, room, 0); i > 0; i--) {
                all.add(room);
            }
        }
        return set(all);
    }

    /** The plain sheet whose rest is worth most comes last. */
    private SheetSet set(List<Room> chosen) {
        List<Room> rooms = new ArrayList<>(lockedRooms);
        List<List<NestPlacement>> fixed = new ArrayList<>(locked);
        List<Room> sorted = new ArrayList<>(chosen);
        sorted.sort(
                Comparator.comparing((Room r) -> r.stock.isPlain())
                        .thenComparing(r -> r.stock.price() / r.area));
        for (Room room : sorted) {
            rooms.add(room);
            fixed.add(List.of());
        }
        return SheetSet.of(rooms, fixed);
    }
}
