package dev.oleander.work.router;

import dev.oleander.machine.Machine;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.clamping.PanelMachine.SideSpindle;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import java.util.List;
import java.util.stream.Stream;

/** What routers can do to panels. */
final class PanelWork {

    private PanelWork() {}

    /** As its table and its drills are; its tools tear where none cuts from both sides. */
    static PanelMachine machine(Machine machine, RouterBook book) {
        RouterUnit.Side side = RouterUnit.of(machine).side();
        List<SideSpindle> drills =
                side == null
                        ? List.of()
                        : book.tools().stream().flatMap(PanelWork::spindle).toList();
        return new PanelMachine(
                machine.name(),
                machine.travel().x(),
                machine.travel().y(),
                side == null ? 0 : side.lowest(),
                side == null ? 0 : side.highest(),
                drills,
                book.tools().stream().noneMatch(t -> t.kind() == ToolKind.COMPRESSION));
    }

    private static Stream<SideSpindle> spindle(Tool tool) {
        return tool.kind().looks().stream()
                .map(edge -> new SideSpindle(edge, tool.diameter(), tool.edges().length()));
    }
}
