package dev.oleander.work.router.proof;

import dev.oleander.work.router.material.Difference;
import dev.oleander.work.router.run.RouterPlan;
import java.util.List;

/** What the rules about a router look at. */
public interface RouterProof {

    RouterPlan plan();

    /** What the program does that it must not. */
    List<Fault> faults();

    /** What is left of what is asked for, and what is gone beyond it, of flat stock. */
    Difference.Found difference();
}
