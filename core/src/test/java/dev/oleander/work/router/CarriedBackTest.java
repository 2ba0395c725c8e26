package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Panels;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.ClampingPlanner;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.plan.panel.clamping.Lying;
import dev.oleander.plan.panel.clamping.OnBoards;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.clamping.TakenAway;
import dev.oleander.proof.panel.CarriedBack;
import dev.oleander.proof.panel.CarriedBack.Done;
import dev.oleander.work.PanelJob;
import dev.oleander.work.router.panel.PanelJobs;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What all clampings of a panel take away, held against the panel itself. */
class CarriedBackTest {

    private static final PanelMachine MACHINE =
            RouterMilling.ROUTER.panels(RouterJobs.HAZEL, PanelRuns.BOOK).orElseThrow();

    private final Product locker = Panels.locker();

    private static List<Done> done(Panel panel, List<Clamping> clampings) {
        List<Done> done = new ArrayList<>();
        for (int i = 0; i < clampings.size(); i++) {
            boolean last = i == clampings.size() - 1 && !clampings.get(0).onBoard();
            done.add(new Done(clampings.get(i), taken(panel, clampings.get(i), last)));
        }
        return done;
    }

    private static TakenAway taken(Panel panel, Clamping clamping, boolean last) {
        PanelJob.Wished wished =
                new PanelJob.Wished(panel, clamping, "birch plywood", last, 0, 0, false);
        return PanelRuns.run(panel, PanelJobs.of(wished, PanelRuns.UNIT, PanelRuns.BOOK))
                .takenAway()
                .orElseThrow();
    }

    private static List<Clamping> alone(Panel panel) {
        return ClampingPlanner.decide(panel, MACHINE, ClampingWishes.NONE).clampings();
    }

    private static List<String> sentences(Panel panel, List<Done> done) {
        return CarriedBack.of(panel, done, 0).stream().map(CarriedBack.Finding::sentence).toList();
    }

    @Test
    void eachPanelOfTheLockerIsMadeOnceAndNothingElse() {
        for (Panel panel : locker.made()) {
            assertThat(sentences(panel, done(panel, alone(panel)))).as(panel.id()).isEmpty();
        }
    }

    @Test
    void theSameFromBoards() {
        for (Panel panel : locker.made()) {
            Product.Board board = locker.materials().get(panel.material()).board();
            List<Clamping> clampings =
                    OnBoards.decide(panel, board, MACHINE, ClampingWishes.NONE).clampings();
            assertThat(clampings.get(0).onBoard()).isTrue();
            assertThat(sentences(panel, done(panel, clampings))).as(panel.id()).isEmpty();
        }
    }

    @Test
    void aPanelThatLayTheWrongWayIsFound() {
        Panel side = locker.panel("side-r").orElseThrow();
        List<Clamping> clampings = alone(side);
        Clamping first = clampings.get(0);
        Clamping wrong =
                new Clamping(
                        new Lying(first.lying().up(), (first.lying().turn() + 180) % 360),
                        first.reference(),
                        first.features(),
                        first.why());
        List<Done> done = new ArrayList<>(done(side, clampings));
        done.set(0, new Done(wrong, done.get(0).taken()));
        assertThat(sentences(side, done))
                .anyMatch(s -> s.endsWith("is made in no clamping."))
                .anyMatch(s -> s.contains("are gone beyond its features"));
    }

    @Test
    void aClampingThatIsForgottenOrDoneTwiceIsFound() {
        Panel side = locker.panel("side-r").orElseThrow();
        List<Done> done = done(side, alone(side));
        assertThat(done).hasSize(2);
        Clamping forgotten = done.get(1).clamping();
        TakenAway nothing = none();
        assertThat(sentences(side, List.of(done.get(0), new Done(forgotten, nothing))))
                .containsExactly("Panel side-r: pocket p32 is made in no clamping.");
        assertThat(sentences(side, List.of(done.get(0), done.get(1), done.get(1))))
                .containsExactly("Panel side-r: pocket p32 is made in clampings 2 and 3.");
    }

    private static TakenAway none() {
        return new TakenAway() {
            @Override
            public List<Region> at(double depth) {
                return List.of();
            }

            @Override
            public List<Region> atMost(double depth) {
                return List.of();
            }

            @Override
            public List<Bore> bores() {
                return List.of();
            }
        };
    }

    @Test
    void holesInEdgesAreMatchedInSpace() {
        Panel kick = locker.panel("bottom").orElseThrow();
        List<Done> done = done(kick, alone(kick));
        List<Done> bored = done.stream().filter(d -> !d.taken().bores().isEmpty()).toList();
        assertThat(bored).hasSize(1);
        Panel moved = kick.with(kick.features().stream().map(CarriedBackTest::higher).toList());
        assertThat(sentences(moved, done))
                .filteredOn(s -> s.contains("is made in no clamping where it should be"))
                .hasSize(10);
        assertThat(sentences(kick, List.of(done.get(0), done.get(0)))).isNotEmpty();
    }

    /** Holes in edges half a millimetre higher. */
    private static PanelFeature higher(PanelFeature f) {
        return !f.face().isEdge()
                ? f
                : new PanelFeature(
                        f.id(),
                        f.face(),
                        f.kind(),
                        f.line(),
                        Optional.of(f.middle().plus(new Point(0, 0.5))),
                        f.diameter(),
                        f.depth(),
                        f.through(),
                        f.steps(),
                        f.width(),
                        f.tag(),
                        f.tolerance());
    }

    @Test
    void whatIsCutDeeperThanItShouldIsFound() {
        Panel side = locker.panel("side-l").orElseThrow();
        List<Done> done = done(side, alone(side));
        PanelFeature deep =
                side.features().stream()
                        .filter(f -> f.face() == Face.TOP && !f.through() && f.area().isPresent())
                        .max((a, b) -> Double.compare(a.box().width(), b.box().width()))
                        .orElseThrow();
        List<PanelFeature> shallow =
                side.features().stream()
                        .map(f -> f == deep ? withDepth(f, f.depth() - 1) : f)
                        .toList();
        assertThat(sentences(side.with(shallow), done))
                .singleElement()
                .asString()
                .contains("are gone beyond its features");
        List<PanelFeature> deeper =
                side.features().stream()
                        .map(f -> f == deep ? withDepth(f, 2.5 * f.depth()) : f)
                        .toList();
        assertThat(sentences(side.with(deeper), done))
                .anyMatch(s -> s.contains(deep.id() + " is made in no clamping"));
    }

    private static PanelFeature withDepth(PanelFeature f, double depth) {
        return new PanelFeature(
                f.id(),
                f.face(),
                f.kind(),
                f.line(),
                f.at(),
                f.diameter(),
                depth,
                f.through(),
                f.steps(),
                f.width(),
                f.tag(),
                f.tolerance());
    }
}
