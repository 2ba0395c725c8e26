package dev.oleander.plan.panel;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What is made of panels.
 *
 * @param quantity how many of it
 * @param parameters values that its numbers may use
 * @param materials by id
 * @param bands thickness of each band, mm
 */
public record Product(
        String name,
        int quantity,
        Map<String, Double> parameters,
        Map<String, Material> materials,
        Map<String, Double> bands,
        List<Panel> panels) {

    /**
     * A material of which panels are made.
     *
     * @param thickness mm
     * @param density kg/m3; 0 when nobody knows
     * @param board what it is bought as
     */
    public record Material(String id, double thickness, double density, Board board) {}

    /**
     * A board, mm.
     *
     * @param grain along what its grain runs
     */
    public record Board(double length, double width, Grain grain) {}

    public Product {
        parameters = Collections.unmodifiableMap(new TreeMap<>(parameters));
        materials = Collections.unmodifiableMap(new TreeMap<>(materials));
        bands = Collections.unmodifiableMap(new TreeMap<>(bands));
        panels = List.copyOf(panels);
    }

    public Optional<Panel> panel(String id) {
        return panels.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** Those that are made here. */
    public List<Panel> made() {
        return panels.stream().filter(Panel::isMade).toList();
    }

    /** How many of a panel all products need. */
    public int count(Panel panel) {
        return panel.quantity() * quantity;
    }
}
