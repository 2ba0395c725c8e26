package dev.oleander.work.router.proof;

import dev.oleander.motion.Program;
import dev.oleander.work.router.material.Depths;
import dev.oleander.work.router.material.Difference;
import dev.oleander.work.router.material.Engaged;
import dev.oleander.work.router.run.RouterPlan;
import java.util.List;
import java.util.Map;

/** What the rules about a router look at. */
public interface RouterProof {

    RouterPlan plan();

    /** What the program does that it must not. */
    List<Fault> faults();

    /** Depth at any place, after any number of moves. */
    Depths depths();

    Program program();

    /** How much the tools of pockets are in the work, by id. */
    Map<String, Engaged> engaged();

    /** What is left of what is asked for, and what is gone beyond it, of flat stock. */
    Difference.Found difference();
}
