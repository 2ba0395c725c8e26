package dev.oleander.work.router.proof;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.work.router.book.Bank;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What the tools of a program sweep, from its moves.
 *
 * @param cuttings in their order
 * @param made of each item, how many cutting moves come before it
 */
record Swept(List<Cutting> cuttings, int[] made) {

    /**
     * @param bank whose drills may come down together; null: there is none
     */
    static Swept of(Program program, Map<Integer, Tool> tools, Unrolled unrolled, Bank bank) {
        List<Cutting> cuttings = new ArrayList<>();
        int[] made = new int[program.size()];
        List<Leg> legs = new ArrayList<>();
        Tool tool = null;
        int count = 0;
        List<Point> beside = List.of();
        for (int i = 0; i < program.size(); i++) {
            made[i] = count;
            Item item = program.items().get(i);
            if (item instanceof Item.Event event && event.kind() == EventKind.TOOL) {
                close(cuttings, tool, legs);
                tool = tools.get(event.args().getOrDefault("tool", 0.0).intValue());
            } else if (item instanceof Item.Event event && event.kind() == EventKind.DRILLS) {
                long choice = event.args().getOrDefault("drills", 0.0).longValue();
                beside = bank == null ? List.of() : bank.places(choice);
            } else if (item instanceof Item.AtFeed feed && tool != null) {
                if (tool.kind().lies()) {
                    continue;
                }
                Leg own = unrolled.leg(feed);
                legs.add(own);
                count++;
                for (int k = 1; k < beside.size(); k++) {
                    legs.add(own.transformed(Transform.translation(beside.get(k))));
                    count++;
                }
            }
        }
        close(cuttings, tool, legs);
        return new Swept(cuttings, made);
    }

    private static void close(List<Cutting> cuttings, Tool tool, List<Leg> legs) {
        if (tool != null && !legs.isEmpty()) {
            cuttings.add(new Cutting("", tool.form(), List.copyOf(legs)));
            legs.clear();
        }
    }

    int before(int item) {
        return made[item];
    }
}
