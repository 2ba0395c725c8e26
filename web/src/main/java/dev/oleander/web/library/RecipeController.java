package dev.oleander.web.library;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Recipe.Rule;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Word;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.recipe.ShopRecipe;
import dev.oleander.web.job.recipe.ShopRecipe.Use;
import dev.oleander.web.job.recipe.ShopRecipes;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The shop's recipes: what they say, which features they are for, whether new jobs use them. */
@Controller
@RequestMapping("/recipes")
class RecipeController {

    private final ShopRecipes recipes;
    private final MachineLibrary machines;

    RecipeController(ShopRecipes recipes, MachineLibrary machines) {
        this.recipes = recipes;
        this.machines = machines;
    }

    /**
     * The recipes for one kind of work.
     *
     * @param kinds of features they can be for
     * @param processes of the machines that do it
     */
    record Group(
            String work,
            String label,
            List<Word> kinds,
            List<String> processes,
            List<RecipeRow> recipes) {}

    /** Where an edit was refused, and why. */
    record Wrong(String work, String name, String sentence) {

        static final Wrong NOTHING = new Wrong("", "", "");

        public boolean isAt(String otherWork, String otherName) {
            return work.equals(otherWork) && name.equals(otherName);
        }
    }

    @GetMapping
    String list(@AuthenticationPrincipal SignedIn who, Model model) {
        return show(who, model, Wrong.NOTHING);
    }

    private String show(SignedIn who, Model model, Wrong wrong) {
        List<ShopRecipe> all = recipes.all();
        model.addAttribute("who", who);
        model.addAttribute(
                "groups",
                Kinds.all().stream()
                        .map(kind -> group(kind, all))
                        .filter(group -> !group.recipes().isEmpty())
                        .toList());
        model.addAttribute("wrong", wrong);
        return "recipes";
    }

    private Group group(Work<?, ?> kind, List<ShopRecipe> all) {
        List<Word> kinds = new ArrayList<>(kind.recipeKinds());
        kinds.add(Word.same(Rule.ANYTHING));
        List<String> processes =
                machines.machines().stream()
                        .filter(kind::does)
                        .map(Machine::process)
                        .distinct()
                        .sorted()
                        .toList();
        List<RecipeRow> rows =
                all.stream()
                        .filter(r -> r.kind().word().equals(kind.word()))
                        .map(r -> RecipeRow.of(kind, r))
                        .toList();
        return new Group(kind.word(), kind.label(), kinds, processes, rows);
    }

    /**
     * What a person chose of when a recipe is used.
     *
     * @param work word of its kind of work
     * @param kind word; empty: only where it is given by hand
     * @param process empty for all
     * @param onNew null: not, as a box that is not ticked sends nothing
     */
    record RuleForm(
            String work,
            String name,
            String kind,
            String over,
            String below,
            String process,
            Boolean onNew) {

        /** What a form leaves out is empty. */
        RuleForm {
            work = Objects.requireNonNullElse(work, "");
            name = Objects.requireNonNullElse(name, "");
            kind = Objects.requireNonNullElse(kind, "");
            over = Objects.requireNonNullElse(over, "");
            below = Objects.requireNonNullElse(below, "");
            process = Objects.requireNonNullElse(process, "");
        }
    }

    @PostMapping("/rule")
    String rule(
            RuleForm form,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        Work<?, ?> kind = kind(form.work());
        try {
            Use use = new Use(form.process(), Boolean.TRUE.equals(form.onNew()));
            keep(kind, form, use, who);
            return "redirect:/recipes";
        } catch (RefusedEditException | FormulaException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(who, model, new Wrong(form.work(), form.name(), refused.getMessage()));
        }
    }

    private <C extends Choices<C, S>, S extends Choice<S>> void keep(
            Work<C, S> kind, RuleForm form, Use use, SignedIn who) {
        recipes.rule(kind, form.name(), ruleOf(kind, form), use, who);
    }

    /**
     * @throws NotFoundException when there is no such kind of work
     */
    private static Work<?, ?> kind(String word) {
        return Kinds.find(word)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "There is no kind of work \"%s\".".formatted(word)));
    }

    private static Rule ruleOf(Work<?, ?> kind, RuleForm form) {
        if (form.kind().isEmpty()) {
            return Rule.BY_HAND;
        }
        boolean known =
                form.kind().equals(Rule.ANYTHING)
                        || kind.recipeKinds().stream().anyMatch(k -> k.value().equals(form.kind()));
        if (!known) {
            throw new RefusedEditException("\"%s\" is no kind of feature.".formatted(form.kind()));
        }
        return new Rule(
                form.kind(),
                size("The smallest size", form.over()),
                size("The size", form.below()));
    }

    private static Double size(String what, String text) {
        return text.isBlank() ? null : Typed.parse(text, Map.of()).within(what, 0, 10_000).value();
    }

    @PostMapping("/delete")
    String delete(@RequestParam String work, @RequestParam String name) {
        recipes.delete(kind(work), name);
        return "redirect:/recipes";
    }
}
