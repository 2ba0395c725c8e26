package dev.oleander.web.job;

import static dev.oleander.work.sheet.SheetCutting.SHEET;

import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.Recipe;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * What a new job starts with: how its customer draws, and the recipes that the shop always uses.
 */
@Component
class Proposals {

    private final Customers customers;
    private final ShopRecipes recipes;
    private final MachineLibrary machines;

    Proposals(Customers customers, ShopRecipes recipes, MachineLibrary machines) {
        this.customers = customers;
        this.recipes = recipes;
        this.machines = machines;
    }

    JobDocument propose(JobDocument document) {
        JobDocument proposed = customers.propose(document);
        List<Recipe> usual =
                machines.find(document.machine())
                        .map(m -> recipes.automatic(m.process()))
                        .orElse(List.of());
        return proposed.changed(SHEET, choices -> choices.withRecipes(usual));
    }

    /** Takes over what an edit decided and later jobs of the customer will want too. */
    void learn(JobDocument before, JobDocument after) {
        customers.learn(before, after);
    }
}
