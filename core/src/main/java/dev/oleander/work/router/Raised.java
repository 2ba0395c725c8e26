package dev.oleander.work.router;

import dev.oleander.motion.Item;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Program;
import dev.oleander.motion.Rise;
import java.util.ArrayList;
import java.util.List;

/** Moves as they are when heights are counted from elsewhere. */
final class Raised {

    private Raised() {}

    /**
     * @param up mm by which all heights are greater; where the first move comes from nobody knows
     */
    static Program by(Program of, double up) {
        List<Item> raised = new ArrayList<>();
        boolean first = true;
        for (Item item : of.items()) {
            Item there = by(item, up);
            if (first && item instanceof Item.Rapid m) {
                Rise rise = new Rise(m.rise().from(), there.rise().to());
                there = new Item.Rapid(m.from(), m.to(), rise, m.origin());
            }
            first = first && item instanceof Item.Event;
            raised.add(there);
        }
        return new Program(raised);
    }

    private static Item by(Item item, double up) {
        if (item instanceof Item.Rapid m) {
            return new Item.Rapid(m.from(), m.to(), rise(m.rise(), up), m.origin());
        }
        if (item instanceof Item.Feed m) {
            return new Item.Feed(m.segment(), rise(m.rise(), up), m.feed(), m.on(), m.origin());
        }
        if (item instanceof Item.Plunge m) {
            return new Item.Plunge(m.at(), rise(m.rise(), up), m.feed(), m.on(), m.origin());
        }
        return item;
    }

    private static Rise rise(Rise of, double up) {
        return new Rise(pose(of.from(), up), pose(of.to(), up));
    }

    private static Pose pose(Pose of, double up) {
        return new Pose(of.z() + up, of.turn());
    }
}
