package dev.oleander.work.router.proof;

import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.proof.RouterRule.Findings;
import dev.oleander.work.router.tool.Tool;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Where tools come to bodies, told once for each stop and body. */
final class Meetings {

    /** Whether a tool with its holder comes to a body in a move. */
    interface Meets {
        boolean test(Item item, Tool tool, Body body);
    }

    private Meetings() {}

    static void tell(RouterProof proof, Findings findings, Meets meets) {
        List<Body> bodies = Body.of(proof.plan());
        if (bodies.isEmpty()) {
            return;
        }
        Map<Integer, Tool> tools = new HashMap<>();
        proof.plan().task().tools().forEach(t -> tools.put(t.number(), t));
        Set<String> told = new HashSet<>();
        Tool tool = null;
        for (Item item : proof.program().items()) {
            if (item instanceof Item.Event event) {
                boolean change = event.kind() == EventKind.TOOL;
                tool = change ? tools.get(event.args().getOrDefault("tool", 0.0).intValue()) : tool;
                continue;
            }
            for (Body body : bodies) {
                boolean hit = tool != null && meets.test(item, tool, body);
                if (hit && told.add(item.origin().stop() + " " + body.name())) {
                    tell(item, tool, body, findings);
                }
            }
        }
    }

    private static void tell(Item item, Tool tool, Body body, Findings findings) {
        findings.add(
                Severity.MUST_FIX,
                item.origin().stop(),
                Unrolled.place(item),
                Body.low(item),
                body.top(),
                "tool %d comes to %s, %s mm over the top of the stock, at a height of %s mm."
                        .formatted(
                                tool.number(),
                                body.name(),
                                Numbers.plain(body.top(), 1),
                                Numbers.plain(Body.low(item), 1)));
    }
}
