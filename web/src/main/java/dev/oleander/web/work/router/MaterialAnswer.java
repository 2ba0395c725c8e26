package dev.oleander.web.work.router;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.material.Depths;
import dev.oleander.work.router.material.Difference;
import dev.oleander.work.router.material.Removed;
import dev.oleander.work.router.material.Section;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is gone of the stock of a router's run, at a moment. */
final class MaterialAnswer {

    private MaterialAnswer() {}

    /**
     * @param levels what is gone at a height and above it, mm2, the highest first
     * @param volume mm3, of tools with flat ends
     * @param rest what is left of what is asked for, in the end
     * @param gouges what is gone beyond it, in the end
     */
    record Material(
            List<LevelJson> levels, double volume, List<PieceJson> rest, List<PieceJson> gouges) {}

    /** Height, mm, and area gone at it, mm2. */
    record LevelJson(double z, double area) {}

    /** A piece; see {@link Difference.Piece}. */
    record PieceJson(String stop, double area, double height, double[] place) {}

    /**
     * Depth at a place.
     *
     * @param depth mm that is gone
     * @param wanted mm that operations ask for
     * @param stop that has cut deepest there; null: none
     * @param level number of its level, from 1; null likewise
     */
    record DepthJson(double depth, double wanted, String stop, Integer level) {}

    /**
     * @param t machine time, s; empty: the end
     */
    static Material material(RouterRun run, Optional<Double> t) {
        RouterPlan plan = run.plan();
        Removed removed = t.map(run::removedAt).orElseGet(run::removed);
        double thickness = plan.task().thickness();
        List<LevelJson> levels = new ArrayList<>();
        for (double z : removed.heights()) {
            if (z <= 0 && z >= -thickness - plan.task().overCut()) {
                List<Region> gone = Overlay.intersection(removed.at(z), List.of(plan.stock()));
                levels.add(0, new LevelJson(z, gone.stream().mapToDouble(Region::area).sum()));
            }
        }
        boolean flat = !plan.turns();
        Difference.Found found = flat ? run.difference() : Difference.Found.NOTHING;
        return new Material(
                List.copyOf(levels),
                removed.volume(plan.stock(), thickness),
                found.rests().stream().map(MaterialAnswer::piece).toList(),
                found.gouge().stream().map(MaterialAnswer::piece).toList());
    }

    private static PieceJson piece(Difference.Piece piece) {
        return new PieceJson(
                piece.stop(),
                piece.area(),
                piece.height(),
                new double[] {piece.place().x(), piece.place().y()});
    }

    /**
     * @param t machine time, s; empty: the end
     */
    static DepthJson depth(RouterRun run, Point at, Optional<Double> t) {
        RouterPlan plan = run.plan();
        Depths.Depth found =
                t.map(seconds -> run.depthAt(at, seconds)).orElseGet(() -> run.depths().at(at));
        double wanted = plan.wantedAt(at);
        double thickness = plan.task().thickness();
        return new DepthJson(
                Math.min(thickness, found.depth()),
                Math.min(thickness, wanted),
                found.stop().orElse(null),
                found.stop().map(id -> level(run, id, found.leg())).orElse(null));
    }

    /**
     * @param depth mm from the start and mm below the top, in turn
     * @param wanted the same, as stops are asked for
     */
    record SectionJson(
            double length, double thickness, List<double[]> depth, List<double[]> wanted) {}

    /**
     * @param t machine time, s; empty: the end
     */
    static SectionJson section(RouterRun run, Point from, Point to, Optional<Double> t) {
        double thickness = run.plan().task().thickness();
        Section depth = run.section(from, to, t);
        Section wanted = Section.of(run.plan()::wantedAt, from, to);
        return new SectionJson(
                depth.length(), thickness, places(depth, thickness), places(wanted, thickness));
    }

    private static List<double[]> places(Section section, double thickness) {
        return section.places().stream()
                .map(p -> new double[] {p.at(), Math.min(thickness, p.depth())})
                .toList();
    }

    private static Integer level(RouterRun run, String stop, int leg) {
        RouterStop of = run.plan().stop(stop).orElseThrow();
        return of.levelOf(of.cutting().legs().get(leg));
    }
}
