package dev.oleander.web.product;

import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.clamping.ClampingPlanner;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.plan.panel.clamping.Cost;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.panel.clamping.OnBoards;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.file.ProductReader;
import dev.oleander.plan.panel.whole.ClampingChecks;
import dev.oleander.plan.panel.whole.CutList;
import dev.oleander.plan.panel.whole.Mates;
import dev.oleander.plan.panel.whole.PanelChecks;
import dev.oleander.plan.panel.whole.Twins;
import dev.oleander.web.job.document.NotFoundException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A product as it is at a step, with all that is decided of it.
 *
 * @param checks what should be looked at in its panels
 * @param decisions how panels are clamped, by their ids, in the order of the product
 */
public record ProductState(
        long id,
        int step,
        ProductDocument document,
        Product product,
        PanelMachine machine,
        Map<String, Decision> decisions,
        Twins twins,
        CutList cutList,
        Mates mates,
        List<PanelChecks.Finding> checks) {

    /**
     * @throws dev.oleander.plan.panel.PanelException when the product cannot be
     */
    static ProductState of(long id, int step, ProductDocument document, PanelMachine machine) {
        Product product = ProductReader.read(document.product());
        Map<String, Decision> decisions = new LinkedHashMap<>();
        for (Panel panel : product.panels()) {
            ClampingWishes wishes = document.wishes(panel.id()).read();
            decisions.put(panel.id(), decision(product, panel, document, machine, wishes));
        }
        Twins twins = Twins.of(product);
        List<PanelChecks.Finding> checks = new ArrayList<>(PanelChecks.of(product));
        checks.addAll(ClampingChecks.of(product, decisions, machine, twins));
        return new ProductState(
                id,
                step,
                document,
                product,
                machine,
                decisions,
                twins,
                CutList.of(product, document.preMilling()),
                Mates.of(product),
                List.copyOf(checks));
    }

    private static Decision decision(
            Product product,
            Panel panel,
            ProductDocument document,
            PanelMachine machine,
            ClampingWishes wishes) {
        if (!document.boards() || !panel.isMade()) {
            return ClampingPlanner.decide(panel, machine, wishes);
        }
        Product.Board board = product.materials().get(panel.material()).board();
        return OnBoards.decide(panel, board, machine, wishes);
    }

    /**
     * @throws NotFoundException when there is none
     */
    public Panel panel(String panel) {
        return product.panel(panel)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "There is no panel %s in %s."
                                                .formatted(panel, product.name())));
    }

    public Decision decision(Panel panel) {
        return decisions.get(panel.id());
    }

    /** What the wishes of a panel cost: 1 clamping more; empty: nothing. */
    public String cost(Panel panel) {
        ProductDocument.Wishes wishes = document.wishes(panel.id());
        if (wishes.isNone()) {
            return "";
        }
        Decision free = decision(product, panel, document, machine, ClampingWishes.NONE);
        return Cost.of(free, decision(panel));
    }

    /** How many of a panel all products need, with those that are the same body. */
    public int countWithTwins(Panel panel) {
        return product.made().stream()
                .filter(
                        p ->
                                p.id().equals(panel.id())
                                        || twins.equalTo(p.id())
                                                .filter(panel.id()::equals)
                                                .isPresent())
                .mapToInt(product::count)
                .sum();
    }
}
