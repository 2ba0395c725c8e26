package dev.oleander.drawing.dxf;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.Layer;
import dev.oleander.drawing.intake.Collector;
import dev.oleander.quantity.LengthUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** One reading of one file: follows its sections, record by record. */
final class DxfParser {

    private final String file;
    private final ImportOptions options;
    private final Collector collector;
    private final Map<String, Block> blocks = new HashMap<>();
    private Optional<LengthUnit> declared = Optional.empty();
    private EntityWalker walker;
    private Block openBlock;
    private String section = "";

    DxfParser(String file, ImportOptions options) {
        this.file = file;
        this.options = options;
        this.collector = new Collector(file, options);
    }

    Drawing parse(GroupReader groups) {
        boolean any = false;
        boolean ended = false;
        DxfRecord record = null;
        while (!ended && groups.next()) {
            if (groups.code() == 0) {
                any = true;
                if (record != null) {
                    take(record);
                }
                record = new DxfRecord(groups.value(), groups.line());
                ended = record.type().equals("EOF");
            } else if (record != null) {
                record.add(groups.code(), groups.value(), groups.line());
            }
        }
        if (!any) {
            throw new DrawingException(
                    file, null, "%s is not a DXF drawing: it has no section.".formatted(file));
        }
        if (!ended) {
            throw groups.cutOff();
        }
        if (walker != null) {
            walker.finish();
        }
        return collector.drawing(declared, unit());
    }

    private LengthUnit unit() {
        return options.unit().or(() -> declared).orElse(LengthUnit.MILLIMETRE);
    }

    private void take(DxfRecord record) {
        switch (record.type()) {
            case "SECTION" -> open(record);
            case "ENDSEC" -> section = "";
            default -> takeInSection(record);
        }
    }

    private void open(DxfRecord record) {
        section = record.text(2).orElse("");
        if (section.equals("HEADER")) {
            takeHeader(record);
        }
    }

    private void takeInSection(DxfRecord record) {
        switch (section) {
            case "TABLES" -> {
                if (record.type().equals("LAYER")) {
                    takeLayer(record);
                }
            }
            case "BLOCKS" -> takeOfBlock(record);
            case "ENTITIES" -> {
                if (walker == null) {
                    walker = EntityWalker.ofModel(collector, blocks, unit());
                }
                walker.take(record);
            }
            default -> {
                // classes and objects hold nothing that is read
            }
        }
    }

    private void takeHeader(DxfRecord head) {
        boolean units = false;
        for (int i = 0; i < head.size(); i++) {
            if (head.code(i) == 9) {
                units = head.value(i).equals("$INSUNITS");
            } else if (units && head.code(i) == 70) {
                declared = unitOf(head.value(i));
            }
        }
    }

    private static Optional<LengthUnit> unitOf(String code) {
        try {
            return LengthUnit.ofDxfCode(Integer.parseInt(code));
        } catch (NumberFormatException notANumber) {
            return Optional.empty();
        }
    }

    private void takeLayer(DxfRecord layer) {
        String name = layer.text(2).orElse("0");
        boolean frozen = (layer.integer(70, 0) & 1) != 0;
        int colour = layer.integer(62, 7);
        collector.layer(
                new Layer(
                        name,
                        Colours.of(layer, Colours.named(Math.abs(colour))),
                        Styles.lineType(layer.text(6).orElse("")),
                        !frozen && colour >= 0));
    }

    private void takeOfBlock(DxfRecord record) {
        switch (record.type()) {
            case "BLOCK" -> {
                openBlock = new Block(record);
                blocks.put(openBlock.name(), openBlock);
            }
            case "ENDBLK" -> openBlock = null;
            default -> {
                if (openBlock != null) {
                    openBlock.add(record);
                }
            }
        }
    }
}
