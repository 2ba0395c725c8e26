package dev.oleander.web.library;

import dev.oleander.plan.Recipe;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.RefusedEditException;
import dev.oleander.web.job.ShopRecipes;
import dev.oleander.web.job.WireRecipes;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
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
    private final WireRecipes wireRecipes;

    RecipeController(ShopRecipes recipes, WireRecipes wireRecipes) {
        this.wireRecipes = wireRecipes;
        this.recipes = recipes;
    }

    @GetMapping
    String list(@AuthenticationPrincipal SignedIn who, Model model) {
        return show(who, model, "", "");
    }

    private String show(SignedIn who, Model model, String name, String error) {
        model.addAttribute("who", who);
        model.addAttribute("recipes", recipes.all().stream().map(RecipeRow::of).toList());
        model.addAttribute(
                "wireRecipes", wireRecipes.all().stream().map(WireRecipeRow::of).toList());
        model.addAttribute("kinds", Recipe.Kind.values());
        model.addAttribute("wrong", name);
        model.addAttribute("error", error);
        return "recipes";
    }

    /**
     * What a person chose of when a recipe is used.
     *
     * @param kind word; empty: only where it is given by hand
     * @param process empty for all
     * @param onNew null: not, as a box that is not ticked sends nothing
     */
    record RuleForm(
            String name, String kind, String over, String below, String process, Boolean onNew) {

        /** What a form leaves out is empty. */
        RuleForm {
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
        try {
            String process = form.process().isEmpty() ? null : form.process();
            recipes.rule(
                    form.name(), ruleOf(form), process, Boolean.TRUE.equals(form.onNew()), who);
            return "redirect:/recipes";
        } catch (RefusedEditException | FormulaException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(who, model, form.name(), refused.getMessage());
        }
    }

    private static Recipe.Rule ruleOf(RuleForm form) {
        if (form.kind().isEmpty()) {
            return null;
        }
        Recipe.Kind kind =
                Arrays.stream(Recipe.Kind.values())
                        .filter(k -> k.word().equals(form.kind()))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new RefusedEditException(
                                                "\"%s\" is no kind of feature."
                                                        .formatted(form.kind())));
        return new Recipe.Rule(
                kind, size("The smallest size", form.over()), size("The size", form.below()));
    }

    private static Double size(String what, String text) {
        return text.isBlank() ? null : Typed.parse(text, Map.of()).within(what, 0, 10_000).value();
    }

    @PostMapping("/delete")
    String delete(@RequestParam String name) {
        recipes.delete(name);
        return "redirect:/recipes";
    }

    @PostMapping("/wire/delete")
    String deleteForWire(@RequestParam String name) {
        wireRecipes.delete(name);
        return "redirect:/recipes";
    }
}
