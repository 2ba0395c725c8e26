package dev.oleander.web.product;

import dev.oleander.plan.panel.whole.PanelChecks;
import java.util.List;
import java.util.Map;

/** Products and their panels as JSON. */
final class ProductViews {

    private ProductViews() {}

    /**
     * @param step to be given back as {@code If-Match} with a change
     */
    record ProductJson(
            long id,
            String name,
            int quantity,
            String machine,
            double preMilling,
            int step,
            List<PanelJson> panels,
            List<PanelChecks.Finding> checks) {}

    /**
     * A panel in the list.
     *
     * @param quantity in all products
     * @param sentence why it lies as it does
     * @param clampings how many
     * @param equalTo a panel before it that is the same body; null: none
     * @param mirrorOf a panel before it whose mirror image it is; null: none
     */
    record PanelJson(
            String id,
            String name,
            String role,
            int quantity,
            String state,
            String sentence,
            int clampings,
            String equalTo,
            String mirrorOf) {}

    /** A way in which a panel lies. */
    record ClampingJson(
            String up,
            int turn,
            String corner,
            List<String> reference,
            List<String> features,
            String why) {}

    /** A feature that cannot be made. */
    record RefusedJson(String feature, String sentence) {}

    /** How a feature is made; tool 0: one that can is found. */
    record OperationJson(
            String feature, String rule, String kind, int tool, List<String> whyNotBefore) {}

    /** How far the programs are. */
    record WorkJson(String phase, double share, String doing) {}

    /** Before banding, mm. */
    record CutJson(double length, double width) {}

    /**
     * A panel with all that is decided of it.
     *
     * @param cost of what is wished, against what would be decided: 1 clamping more
     */
    record DecidedJson(
            String id,
            String state,
            String why,
            List<ClampingJson> clampings,
            List<RefusedJson> refused,
            CutJson cut,
            List<OperationJson> operations,
            List<Long> jobs,
            ProductDocument.Wishes wishes,
            String cost) {}

    /** A line of the cut list. */
    record CutRowJson(
            String panel,
            String material,
            double length,
            double width,
            String grain,
            int count,
            Map<String, String> bands) {}

    /** Dowel holes that meet, and those that do not. */
    record MatesJson(List<List<String>> pairs, List<FaultJson> faults) {}

    record FaultJson(List<String> holes, String sentence) {}

    /** What is changed of a product; null: as it is. */
    record ProductPatch(
            String machine,
            Double preMilling,
            Boolean roundCorners,
            Boolean boards,
            Double trim,
            Boolean pods,
            Map<String, String> materials) {}
}
