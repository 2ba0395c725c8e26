package dev.oleander.work.sheet.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.machine.Machine;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.Turn;
import dev.oleander.work.sheet.lead.KeptField;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Cuts of features, each made once for all copies that are cut alike. Thread-safe. */
final class CutLibrary {

    private final FeatureCutter cutter;
    private final SheetTask task;
    private final Map<PartRef, KeptField> kept = new ConcurrentHashMap<>();
    private final Turn usual;
    private final Map<Key, Cut> cuts = new ConcurrentHashMap<>();

    private record Key(String feature, PartRef of, StopChoice choice, Turn turn) {}

    CutLibrary(SheetTask task) {
        this.task = task;
        this.cutter =
                new FeatureCutter(
                        task.book(),
                        task.order().material(),
                        task.order().thickness(),
                        new FeatureCutter.Ways(task, task.machine().habits()));
        this.usual =
                task.machine().habits().scrapOn() == Machine.Hand.LEFT
                        ? Turn.SCRAP_LEFT
                        : Turn.SCRAP_RIGHT;
    }

    boolean isDrilled(Feature feature, StopChoice choice) {
        return cutter.isDrilled(feature, choice);
    }

    /** How a feature is cut at a place with what is set for it there. */
    Cut cut(Feature feature, StopChoice choice, Placement placement) {
        Turn turn = placement.transform().isMirrored() ? usual.other() : usual;
        return cuts.computeIfAbsent(
                new Key(feature.id(), placement.of(), choice, turn),
                key -> trial(feature, choice, placement));
    }

    /** The same, not kept: for a place that is only tried. */
    Cut trial(Feature feature, StopChoice choice, Placement placement) {
        Turn turn = placement.transform().isMirrored() ? usual.other() : usual;
        KeptField field = kept(placement.of());
        return new Cut(cutter.draft(feature, choice, turn, field), field);
    }

    /** The material that lies beside a feature: of its own part, or of the whole drawing. */
    private KeptField kept(PartRef of) {
        return kept.computeIfAbsent(of, part -> new KeptField(part.parts(task.reading())));
    }
}
