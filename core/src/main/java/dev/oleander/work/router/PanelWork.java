package dev.oleander.work.router;

import dev.oleander.machine.Machine;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.clamping.PanelMachine.SideSpindle;
import dev.oleander.quantity.Worded;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.tool.ToolKind;
import java.util.List;

/** What routers can do to panels. */
final class PanelWork {

    private PanelWork() {}

    /** As its table and its side drills are; its tools tear where none cuts from both sides. */
    static PanelMachine machine(Machine machine, RouterBook book) {
        RouterUnit.Side side = RouterUnit.of(machine).side();
        List<SideSpindle> drills =
                side == null ? List.of() : side.drills().stream().map(PanelWork::spindle).toList();
        return new PanelMachine(
                machine.name(),
                machine.travel().x(),
                machine.travel().y(),
                side == null ? 0 : side.lowest(),
                side == null ? 0 : side.highest(),
                drills,
                book.tools().stream().noneMatch(t -> t.kind() == ToolKind.COMPRESSION));
    }

    /**
     * @throws IllegalArgumentException when it looks at no edge
     */
    private static SideSpindle spindle(RouterUnit.SideDrill drill) {
        Face looks =
                Worded.of(Face.class, drill.looks())
                        .filter(Face::isEdge)
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "a side drill looks " + drill.looks()));
        return new SideSpindle(looks, drill.diameter(), drill.reach());
    }
}
