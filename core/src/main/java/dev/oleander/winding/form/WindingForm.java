package dev.oleander.winding.form;

import java.util.List;
import java.util.Map;

/**
 * A winding job as it is sent.
 *
 * @param axisLimits in place of the machine's, by letter, and "roving"
 */
public record WindingForm(
        String kind,
        String name,
        String machine,
        MandrelForm mandrel,
        MaterialForm material,
        List<LayerForm> layers,
        Map<String, Limits> axisLimits) {

    /** mm or degrees, s. */
    public record Limits(Double speed, Double acceleration, Double jerk) {}
}
