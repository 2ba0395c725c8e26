package dev.oleander.plan.stop;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Form;
import dev.oleander.quantity.Numbers;

/** What a feature is called on the run line. */
public final class FeatureNames {

    private FeatureNames() {}

    public static String of(Feature feature) {
        if (feature.form().isEmpty()) {
            return "Line " + Numbers.plain(feature.chain().length(), 2);
        }
        Form form = feature.form().get();
        boolean outline = feature.kind() == Feature.Kind.OUTLINE;
        if (form.kind() == Form.Kind.CIRCLE) {
            return (outline ? "Disc " : "Hole ") + form.label();
        }
        if (outline) {
            return "Outline";
        }
        return form.kind() == Form.Kind.OTHER ? "Opening " + form.label() : form.label();
    }
}
