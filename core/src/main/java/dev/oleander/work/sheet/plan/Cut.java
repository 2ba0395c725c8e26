package dev.oleander.work.sheet.plan;

import dev.oleander.geometry.Chain.Station;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.lead.KeptField;
import dev.oleander.work.sheet.lead.KeptField.Clearance;
import dev.oleander.work.sheet.lead.LeadFit;
import dev.oleander.work.sheet.lead.LeadForms.Freedom;
import dev.oleander.work.sheet.lead.LeadSearch;
import dev.oleander.work.sheet.lead.Surroundings;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A feature's cut as it is the same for all copies that were chosen alike: the draft, and the
 * search for its lead.
 */
final class Cut {

    private final Draft draft;
    private final KeptField kept;
    private final LeadSearch search;
    private final Map<Beginning, Stop> begun = new HashMap<>();
    private Stop alone;

    /** Where the cut begins by rule, and how. */
    private record Beginning(Station station, Lead lead) {}

    Cut(Draft draft, KeptField kept) {
        this.draft = draft;
        this.kept = kept;
        this.search =
                draft.loop() == null
                        ? null
                        : new LeadSearch(
                                kept,
                                draft.row(),
                                draft.loop(),
                                draft.turn(),
                                draft.leadIn(),
                                freedom(draft.here().leadIn()));
    }

    /** What a person set is not changed. */
    private static Freedom freedom(LeadChoice set) {
        return new Freedom(
                set.angle() == null, set.length() == null && set.radius() == null, set.isNothing());
    }

    Draft draft() {
        return draft;
    }

    /**
     * The stop as it is in the drawing alone, in its coordinates. Has a path whenever there is one,
     * even where no lead fits.
     */
    synchronized Stop alone() {
        if (alone == null) {
            if (search == null) {
                alone = draft.withoutLead();
            } else {
                LeadFit fit =
                        search.best(Surroundings.NONE)
                                .orElseGet(() -> new LeadFit(first(), Lead.NONE, null, null));
                alone = begun(fit);
            }
        }
        return alone;
    }

    private Station first() {
        return draft.loop().stationAt(draft.loop().segments().get(0).length() / 2);
    }

    /** The stop with its leads as they fit on the sheet, in the drawing's coordinates. */
    Stop placed(Surroundings around) {
        return search == null ? alone() : left(begun(around), around);
    }

    /**
     * The stop with a lead-out that leaves what is kept alone: one that a person set and that does
     * not is refused, another one is left out.
     */
    private Stop left(Stop stop, Surroundings around) {
        List<Segment> out = stop.path().map(CutPath::leadOut).orElse(List.of());
        if (out.isEmpty()) {
            return stop;
        }
        double half = draft.row().kerf() / 2;
        double reach = 2 * half + draft.row().pierceClearance();
        Clearance clearance = around.along(out, reach);
        for (Segment segment : out) {
            clearance = clearance.orLess(kept.along(segment, reach));
        }
        if (clearance.distance() >= half - LeadFit.TOUCH) {
            return stop;
        }
        if (!draft.here().leadOut().isNothing()) {
            return draft.refused(bite("lead-out", clearance));
        }
        CutPath path = stop.path().orElseThrow();
        CutPath without = new CutPath(path.leadIn(), path.main(), path.overRun(), List.of());
        return stop.on(without, stop.tabs());
    }

    private Stop begun(Surroundings around) {
        if (draft.choice().start() != null) {
            return atChosenPlace(around);
        }
        if (!draft.seeksLead() || draft.leadIn().kind() == LeadKind.NONE) {
            return draft.begun(first(), draft.leadIn(), List.of());
        }
        Optional<LeadFit> fit = search.best(around);
        if (fit.isEmpty()) {
            return draft.refused(noRoom());
        }
        return begun(fit.get());
    }

    /** Copies and later tries to order them often begin at the same place. */
    private synchronized Stop begun(LeadFit fit) {
        return begun.computeIfAbsent(
                new Beginning(fit.station(), fit.lead()),
                b -> draft.begun(b.station(), b.lead(), List.of()));
    }

    private Stop atChosenPlace(Surroundings around) {
        Contour drawn = draft.feature().contour();
        double at = draft.choice().start().value() % drawn.length();
        Point wanted = drawn.stationAt(at < 0 ? at + drawn.length() : at).point();
        Station station = draft.loop().nearest(wanted);
        LeadFit wish = search.wished(station, around);
        if (!draft.seeksLead() || !wish.bites(draft.row().kerf())) {
            return draft.begun(station, wish.lead(), List.of());
        }
        Optional<LeadFit> fit = search.near(station, around);
        return fit.isEmpty()
                ? draft.refused(bite("lead-in", wish.bite()))
                : draft.begun(fit.get().station(), fit.get().lead(), remarks(wish, fit.get()));
    }

    /** Every place that was looked at; none for stops that have no lead. */
    List<LeadSearch.Candidate> candidates(Surroundings around) {
        return search == null || !draft.seeksLead() || draft.leadIn().kind() == LeadKind.NONE
                ? List.of()
                : search.candidates(around);
    }

    private List<String> remarks(LeadFit wished, LeadFit found) {
        List<String> changes = new ArrayList<>();
        if (found.lead().kind() != wished.lead().kind()) {
            changes.add("made straight");
        } else if (found.lead().angle() != wished.lead().angle()) {
            changes.add("turned to %s°".formatted(Numbers.plain(found.lead().angle(), 0)));
        }
        double size = Math.max(found.lead().length(), found.lead().radius());
        if (size < Math.max(wished.lead().length(), wished.lead().radius())) {
            changes.add("shortened to " + Numbers.length(size));
        }
        double moved = found.station().point().distance(wished.station().point());
        if (moved > 1e-6) {
            changes.add("moved by " + Numbers.length(moved));
        }
        return List.of(
                "The lead-in was %s: as set it would come within %s of %s."
                        .formatted(
                                String.join(" and ", changes),
                                Numbers.length(Math.max(0, wished.bite().distance())),
                                wished.bite().what()));
    }

    private Refusal bite(String lead, Clearance bite) {
        double half = draft.row().kerf() / 2;
        double room = Math.max(0, bite.distance());
        return new Refusal(
                Refusal.Kind.LEAD_BITES,
                ("its %s comes within %s of %s (needs %s). "
                                + "Shorten it, turn it, or let Oleander place it.")
                        .formatted(lead, Numbers.length(room), bite.what(), Numbers.length(half)),
                bite.place(),
                room,
                half);
    }

    private Refusal noRoom() {
        CutRow row = draft.row();
        Lead lead = draft.leadIn();
        double least = lead.kind().hasLine() ? lead.length() : lead.radius();
        boolean shortens = freedom(draft.here().leadIn()).size();
        return new Refusal(
                Refusal.Kind.LEAD_BITES,
                ("there is no place for its lead-in of %s%s that stays %s from kept material, "
                                + "other cuts and the edge of the sheet. "
                                + "Choose another form or a smaller one.")
                        .formatted(
                                Numbers.length(least),
                                shortens ? ", nor for a third of it," : "",
                                Numbers.length(row.kerf() / 2)),
                draft.loop().start(),
                least,
                row.kerf() / 2);
    }
}
