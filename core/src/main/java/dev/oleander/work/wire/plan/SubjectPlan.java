package dev.oleander.work.wire.plan;

import dev.oleander.plan.stop.Stop;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import java.util.List;
import java.util.Optional;

/**
 * What is done with one feature of one copy.
 *
 * @param id feature and copy
 * @param stops entries of the run line, one for each visit, or one that is refused
 * @param inside ids of features and copies that lie in a piece that comes free here
 */
record SubjectPlan(
        String id,
        List<Stop> stops,
        List<WireVisit> visits,
        Optional<WireSettings> settings,
        Optional<StartHole> hole,
        List<Ruling> surface,
        List<String> inside) {}
