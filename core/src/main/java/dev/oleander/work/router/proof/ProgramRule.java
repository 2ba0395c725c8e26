package dev.oleander.work.router.proof;

import dev.oleander.proof.Severity;
import dev.oleander.work.router.operation.Operation;

/** One of the things that {@link ProgramCheck} finds in the moves of a program. */
abstract class ProgramRule extends RouterRule {

    ProgramRule(String id, String title) {
        super(id, title);
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        findings.checked(proof.plan().done().size());
        findings.faults(proof, id(), fault -> severity(proof, fault));
    }

    /** How bad it is. */
    Severity severity(RouterProof proof, Fault fault) {
        return Severity.MUST_FIX;
    }

    /** Nothing touches uncut stock above the flutes. */
    public static final class Flutes extends ProgramRule {
        public Flutes() {
            super("flutes", "no tool is deeper in the stock than its flutes are long");
        }

        /** Where somebody allowed it, it is told. */
        @Override
        Severity severity(RouterProof proof, Fault fault) {
            boolean allowed =
                    proof.plan().done().stream()
                            .filter(s -> s.id().equals(fault.stop()))
                            .findFirst()
                            .flatMap(s -> proof.plan().task().operation(s.operation()))
                            .filter(Operation::beyondFlutes)
                            .isPresent();
            return allowed ? Severity.LOOK : Severity.MUST_FIX;
        }
    }

    /** Ways down. */
    public static final class Entry extends ProgramRule {
        public Entry() {
            super("entry", "every way down is one that the tool can cut");
        }
    }

    /** Moves through the air. */
    public static final class Rapid extends ProgramRule {
        public Rapid() {
            super("rapid", "rapid moves keep clear of the stock as it is then");
        }
    }

    /** Speeds. */
    public static final class Spindle extends ProgramRule {
        public Spindle() {
            super("spindle", "the spindle turns in every feed, as fast as the tool may");
        }
    }

    /** What lies under the stock. */
    public static final class Table extends ProgramRule {
        public Table() {
            super("table", "no tool goes into the table, its stops, pods or jaws");
        }

        @Override
        void check(RouterProof proof, Findings findings) {
            super.check(proof, findings);
            Meetings.tell(
                    proof,
                    findings,
                    (item, tool, body) -> body.ofTable() && body.meetsTip(item, tool));
        }
    }

    /** Drills that lie. */
    public static final class Side extends ProgramRule {
        public Side() {
            super("side", "drills that lie go straight into edges, within reach and height");
        }
    }

    /** The rotary axis. */
    public static final class Turn extends ProgramRule {
        public Turn() {
            super("turn", "the work turns only while the tool is above it");
        }
    }
}
