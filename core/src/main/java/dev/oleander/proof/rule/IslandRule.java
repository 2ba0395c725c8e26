package dev.oleander.proof.rule;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Point;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is left standing in a letter that is cut away falls out with it, and nobody wants it. */
public final class IslandRule implements ProofRule {

    @Override
    public String id() {
        return "island";
    }

    @Override
    public String title() {
        return "the middles of letters that are cut out are held";
    }

    @Override
    public Outcome check(ProofInput input) {
        Letters drawn = new Letters(input.reading());
        Map<String, Feature> features = input.reading().byId();
        List<Finding> findings = new ArrayList<>();
        int letters = 0;
        for (Part part : input.reading().parts()) {
            Feature outline = features.get(part.outline());
            if (drawn.are(outline)) {
                letters++;
                if (lies(outline, features, drawn)) {
                    findings.add(finding(input, part));
                }
            }
        }
        return new Outcome(letters, findings);
    }

    /** Whether it lies in a letter that is cut away. */
    private static boolean lies(Feature outline, Map<String, Feature> features, Letters drawn) {
        Optional<Feature> round = outline.parent().map(features::get);
        return round.filter(drawn::are).isPresent();
    }

    private static Finding finding(ProofInput input, Part part) {
        Point middle = part.region().box().centre();
        Point there = Letters.onSheet(input, middle);
        double area = part.region().area();
        String sentence =
                "The middle of a letter, %s mm² at %s, %s, falls out with the letter: nothing holds it. Bridge it (Shape: Bridges for islands), or let it fall."
                        .formatted(
                                Numbers.plain(area, 1),
                                Numbers.plain(middle.x(), 1),
                                Numbers.plain(middle.y(), 1));
        return Finding.of(Severity.LOOK, "", there, area, 0, sentence);
    }
}
