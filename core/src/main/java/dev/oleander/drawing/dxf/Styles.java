package dev.oleander.drawing.dxf;

import dev.oleander.drawing.Layer;
import dev.oleander.drawing.Style;
import dev.oleander.drawing.intake.Collector;
import java.util.Locale;

/** How entities are drawn, with what they take over from their layer or from their insert. */
final class Styles {

    private final Collector collector;

    /** Style of the insert round the entities; null in the model itself. */
    private final Style insert;

    Styles(Collector collector, Style insert) {
        this.collector = collector;
        this.insert = insert;
    }

    Style of(DxfRecord record) {
        String own = record.layer();
        // what lies on layer 0 of a block lies on the layer of its insert
        String layer = insert != null && own.equals("0") ? insert.layer() : own;
        return new Style(layer, colour(record, layer), lineType(record, layer));
    }

    private String colour(DxfRecord record, String layer) {
        int index = record.integer(62, Colours.BY_LAYER);
        if (record.integer(420, -1) >= 0) {
            return Colours.of(record, "");
        }
        if (index == Colours.BY_LAYER) {
            return layerOf(layer).colour();
        }
        boolean byBlock = index == Colours.BY_BLOCK;
        return byBlock && insert != null ? insert.colour() : Colours.named(byBlock ? 7 : index);
    }

    private String lineType(DxfRecord record, String layer) {
        String own = lineType(record.text(6).orElse("bylayer"));
        if (own.equals("bylayer")) {
            return layerOf(layer).lineType();
        }
        if (own.equals("byblock")) {
            return insert == null ? Style.CONTINUOUS : insert.lineType();
        }
        return own;
    }

    static String lineType(String name) {
        return name.isBlank() ? Style.CONTINUOUS : name.strip().toLowerCase(Locale.ROOT);
    }

    private Layer layerOf(String name) {
        Layer known = collector.layer(name);
        return known == null ? Layer.plain(name) : known;
    }
}
