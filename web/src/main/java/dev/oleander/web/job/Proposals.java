package dev.oleander.web.job;

import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.recipe.ShopRecipes;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
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
        return machines.find(document.machine())
                .map(machine -> withUsual(proposed, Kinds.of(machine), machine.process()))
                .orElse(proposed);
    }

    private <C extends Choices<C, S>, S extends Choice<S>> JobDocument withUsual(
            JobDocument document, Work<C, S> kind, String process) {
        return document.changed(kind, c -> c.withRecipes(recipes.automatic(kind, process)));
    }

    /** Takes over what an edit decided and later jobs of the customer will want too. */
    void learn(JobDocument before, JobDocument after) {
        customers.learn(before, after);
    }
}
