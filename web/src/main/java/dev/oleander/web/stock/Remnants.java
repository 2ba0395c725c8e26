package dev.oleander.web.stock;

import dev.oleander.nesting.choice.Loop;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.JobNames;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.trail.Trail;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the shop keeps of sheets: what is there, what is used, what comes to it. */
@Service
public class Remnants {

    private static final double LONGEST = 50_000;
    private static final double THICKEST = 400;
    private static final int LONGEST_PLACE = 60;

    private final RemnantTable table;
    private final Trail trail;

    Remnants(RemnantTable table, Trail trail) {
        this.table = table;
        this.trail = trail;
    }

    /** Those that a nest of a material and thickness may use, the largest first. */
    public List<Remnant> free(String material, double thickness) {
        return table.free(material, thickness);
    }

    /**
     * @throws NotFoundException when there is none
     */
    public Remnant require(long id) {
        return table.find(id)
                .orElseThrow(() -> new NotFoundException("There is no remnant %d.".formatted(id)));
    }

    /**
     * @param text that material, origin or place contains
     * @param all also those that are not free any more
     */
    public List<Remnant> search(String text, boolean all) {
        String masked = text.strip().toLowerCase(Locale.ROOT).replaceAll("([!%_])", "!$1");
        return table.search(masked, all);
    }

    /**
     * A remnant that somebody found in the shop.
     *
     * @param outline empty: a plain rectangle
     * @return its number
     * @throws RefusedEditException naming the value and its limits
     */
    @Transactional
    public long add(
            String material,
            double thickness,
            double width,
            double height,
            List<Loop> outline,
            String place,
            SignedIn who) {
        requireWithin("width", width, LONGEST);
        requireWithin("height", height, LONGEST);
        requireWithin("thickness", thickness, THICKEST);
        if (material.isBlank()) {
            throw new RefusedEditException("A remnant needs a material.");
        }
        JobNames.requirePlain("material", material);
        Remnant made =
                new Remnant(
                        0,
                        material.strip(),
                        thickness,
                        width,
                        height,
                        outline,
                        null,
                        place(place),
                        Remnant.State.FREE,
                        null,
                        "found by " + who.fullName(),
                        null,
                        Instant.EPOCH);
        if (!outline.isEmpty()) {
            made.region();
        }
        long id = table.add(made, who.id());
        trail.ofStock(who.id(), "Remnant %d added: %s".formatted(id, told(made)));
        return id;
    }

    /**
     * One of another form.
     *
     * @param outline outer contour, then holes
     * @return its number
     * @throws dev.oleander.nesting.NestException when the outline crosses itself
     */
    public long add(
            String material, double thickness, List<Loop> outline, String place, SignedIn who) {
        if (outline.isEmpty()) {
            throw new RefusedEditException("An outline needs a contour.");
        }
        StockLine measured = StockLine.outlined("", outline);
        return add(material, thickness, measured.width(), measured.height(), outline, place, who);
    }

    private static String told(Remnant r) {
        return "%s %s mm, %s x %s mm"
                .formatted(
                        r.material(),
                        Numbers.plain(r.thickness(), 3),
                        Numbers.plain(r.width(), 1),
                        Numbers.plain(r.height(), 1));
    }

    private static void requireWithin(String what, double value, double most) {
        if (!(value > 0 && value <= most)) {
            throw new RefusedEditException(
                    "The %s of the remnant is %s mm; it must be more than 0 and at most %s mm."
                            .formatted(what, Numbers.plain(value, 3), Numbers.plain(most, 0)));
        }
    }

    private static String place(String typed) {
        String place = typed.strip();
        if (place.length() > LONGEST_PLACE) {
            throw new RefusedEditException(
                    "A place has at most %d characters.".formatted(LONGEST_PLACE));
        }
        JobNames.requirePlain("place", place);
        return place;
    }

    /** Says where one stands. */
    @Transactional
    public void put(long id, String place, SignedIn who) {
        require(id);
        table.place(id, place(place));
        trail.ofStock(who.id(), "Remnant %d stands at %s".formatted(id, place.strip()));
    }

    /**
     * One that was thrown away.
     *
     * @throws RefusedEditException when a program was released that is cut of it
     */
    @Transactional
    public void gone(long id, SignedIn who) {
        Remnant remnant = require(id);
        if (!table.gone(id)) {
            throw new RefusedEditException(
                    "Remnant %d is %s already.".formatted(id, remnant.state().word()));
        }
        trail.ofStock(who.id(), "Remnant %d thrown away".formatted(id));
    }

    /**
     * What a release of a nest does to the stock: what it is cut of is used, what it leaves is new;
     * what earlier releases of the job did is taken back before.
     *
     * @param used numbers of remnants
     * @param left what is new
     * @throws RefusedEditException when one of them was used by another job meanwhile
     */
    @Transactional
    public void released(long job, List<Long> used, List<Remnant> left, SignedIn who) {
        table.forgetRests(job);
        table.release(job);
        for (long id : used) {
            if (!table.use(id, job)) {
                throw new RefusedEditException(
                        "Remnant %d is used by another job, or gone. Take it out of the nest and search again."
                                .formatted(id));
            }
        }
        left.forEach(remnant -> table.add(remnant, who.id()));
    }
}
