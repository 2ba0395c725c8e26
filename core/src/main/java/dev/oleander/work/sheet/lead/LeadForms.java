package dev.oleander.work.sheet.lead;

import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import java.util.ArrayList;
import java.util.List;

/** The forms a lead can take where the one wished for does not fit: turned, shortened, both. */
public final class LeadForms {

    private static final double[] SHORTER = {0.75, 0.5, 0.35};

    /** Shares of the angle an arc sweeps. */
    private static final double[] LESS_ROUND = {0.67, 0.5, 0.33};

    /** Degrees of a line against the path. */
    private static final double[] ASKEW = {60, 90, 120, 30, 150};

    private LeadForms() {}

    /**
     * What may be changed of a lead.
     *
     * @param form whether a short straight one may take the place of a round one
     */
    public record Freedom(boolean angle, boolean size, boolean form) {

        public static final Freedom ALL = new Freedom(true, true, true);
    }

    /** The wished lead first; turned before shortened. */
    static List<Lead> of(Lead wished, Freedom freedom) {
        List<Lead> forms = new ArrayList<>(family(wished, freedom));
        if (freedom.form() && wished.kind().hasArc()) {
            forms.addAll(family(Lead.line(wished.radius(), 90), freedom));
        }
        return forms;
    }

    private static List<Lead> family(Lead wished, Freedom freedom) {
        List<Lead> forms = new ArrayList<>();
        forms.add(wished);
        if (wished.kind() == LeadKind.NONE) {
            return forms;
        }
        List<Lead> turned = freedom.angle() ? turned(wished) : List.of();
        forms.addAll(turned);
        if (freedom.size()) {
            for (double factor : SHORTER) {
                forms.add(wished.scaled(factor));
                turned.forEach(t -> forms.add(t.scaled(factor)));
            }
        }
        return forms;
    }

    private static List<Lead> turned(Lead lead) {
        List<Lead> turned = new ArrayList<>();
        if (lead.kind().hasArc()) {
            for (double share : LESS_ROUND) {
                turned.add(lead.turnedTo(share * lead.angle()));
            }
        } else {
            for (double angle : ASKEW) {
                if (Math.abs(angle - lead.angle()) > 5) {
                    turned.add(lead.turnedTo(angle));
                }
            }
        }
        return turned;
    }
}
