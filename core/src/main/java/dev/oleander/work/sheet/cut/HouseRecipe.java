package dev.oleander.work.sheet.cut;

import dev.oleander.geometry.Contour;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.work.sheet.book.CutRow;

/** How features are cut when nobody said otherwise. */
public final class HouseRecipe {

    /** Holes whose path has a radius up to this many leads are entered from the centre. */
    private static final double FROM_CENTRE = 2;

    private HouseRecipe() {}

    /**
     * A quarter arc of the book's lead length; small round holes by a half circle from the centre.
     */
    public static Lead leadIn(Contour path, boolean roundHole, CutRow row) {
        if (roundHole) {
            double radius = Math.sqrt(path.area() / Math.PI);
            if (radius <= FROM_CENTRE * row.lead()) {
                return Lead.arc(radius / 2, 180);
            }
        }
        return Lead.arc(row.lead(), 90);
    }

    /** Values for a form of lead that a person chose without giving sizes. */
    public static Lead ofKind(LeadKind kind, CutRow row) {
        return switch (kind) {
            case NONE -> Lead.NONE;
            case LINE -> Lead.line(row.lead(), 60);
            case ARC -> Lead.arc(row.lead(), 90);
            case LINE_ARC -> new Lead(LeadKind.LINE_ARC, row.lead(), 90, row.lead() / 2);
        };
    }

    /**
     * The lead with a short line before it: controllers switch their compensation on only along a
     * line at least as long as they have to move the path.
     */
    public static Lead withLine(Lead lead, CutRow row) {
        double line = Math.max(row.kerf(), 1);
        return lead.kind().hasArc()
                ? new Lead(LeadKind.LINE_ARC, line, lead.angle(), lead.radius())
                : Lead.line(line, 90);
    }

    /** What neighbours on a sheet need: a lead, its clearance and the kerf, rounded up to 1 mm. */
    public static double gap(CutRow row) {
        return Math.ceil(row.lead() + row.pierceClearance() + 2 * row.kerf());
    }
}
