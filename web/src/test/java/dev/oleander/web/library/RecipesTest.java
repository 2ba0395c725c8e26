package dev.oleander.web.library;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.machine.Compensation;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.Recipe.Rule;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Typed;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.recipe.ShopRecipe.Use;
import dev.oleander.web.job.recipe.ShopRecipes;
import dev.oleander.work.sheet.choice.CornerForm;
import dev.oleander.work.sheet.choice.CutKind;
import dev.oleander.work.sheet.choice.StopChoice;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

class RecipesTest extends WebTest {

    @Autowired private ShopRecipes recipes;
    @Autowired private JdbcTemplate sql;

    private static final StopChoice LONG = StopChoice.NOTHING.withOverRun(Typed.of(2));

    @AfterEach
    void none() {
        sql.update("delete from recipe");
    }

    private void keep(String name, Rule rule, String process, boolean automatic) {
        recipes.save(
                SHEET, new Recipe<>(name, rule, LONG), new Use(process, automatic), person("mira"));
    }

    @Test
    void newJobsTakeUpTheRecipesOfTheirProcess() {
        keep("laser holes", new Rule(CutKind.HOLE.word(), null, 12.0), "laser", true);
        keep("plasma holes", new Rule(CutKind.HOLE.word(), null, 12.0), "plasma", true);
        keep("by hand only", null, "", false);
        long job = makeJob("cleat_backing_plate", "With recipes", 1);
        var plan = jobs.view(job).document().choices(SHEET);
        assertThat(plan.recipes()).extracting(Recipe::name).containsExactly("laser holes");
        List<Stop> stops = jobs.view(job).result().run().stops();
        assertThat(stops.stream().filter(s -> s.overRun() == 2)).hasSize(4);
    }

    @Test
    void thePageSaysEverythingThatARecipeDecides() {
        StopChoice all =
                LONG.withCompensation(Compensation.CONTROLLER)
                        .withCorners(CornerForm.LOOP)
                        .withFilm(true)
                        .withPasses(Typed.of(3));
        recipes.save(SHEET, new Recipe<>("everything", null, all), Use.WHEN_ASKED, person("mira"));
        String page = new PageClient(port).signedIn("mira").get("/recipes").body();
        assertThat(page)
                .contains("over-run 2 mm", "compensation: controller", "form of corners: loop")
                .contains("number of passes 3", "burning the film first: yes");
    }

    @Test
    void aChangeOfTheShopsRecipeChangesNoJob() {
        keep("holes", new Rule(CutKind.HOLE.word(), null, 12.0), "", true);
        long job = makeJob("cleat_backing_plate", "Own copy", 1);
        recipes.delete(SHEET, "holes");
        assertThat(jobs.view(job).document().choices(SHEET).recipes()).hasSize(1);
    }

    @Test
    void whatFitsNothingOrSaysNothingIsRefused() {
        assertThatThrownBy(() -> keep("a", new Rule(CutKind.HOLE.word(), 12.0, 8.0), "", true))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("fits nothing");
        assertThatThrownBy(() -> keep("b", null, "", true)).hasMessageContaining("needs a rule");
        assertThatThrownBy(() -> keep(" ", null, "", false)).hasMessageContaining("name");
        assertThatThrownBy(
                        () ->
                                recipes.save(
                                        SHEET,
                                        new Recipe<>("c", null, StopChoice.NOTHING),
                                        Use.WHEN_ASKED,
                                        person("mira")))
                .hasMessageContaining("Nothing is set");
        assertThat(recipes.all()).isEmpty();
    }

    @Test
    void aRuleIsChangedOnItsPageAndAWrongOneIsNamed() {
        keep("slots", null, "", false);
        PageClient pages = new PageClient(port).signedIn("mira");
        Map<String, String> rule =
                Map.of(
                        "work", "sheet", "name", "slots", "kind", "opening", "over", "10", "below",
                        "60", "process", "plasma", "onNew", "true");
        assertThat(pages.post("/recipes/rule", rule).statusCode()).isEqualTo(302);
        assertThat(recipes.require(SHEET, "slots").rule())
                .isEqualTo(new Rule(CutKind.OPENING.word(), 10.0, 60.0));
        Map<String, String> wrong =
                Map.of(
                        "work", "sheet", "name", "slots", "kind", "opening", "over", "wide",
                        "below", "", "process", "");
        var answer = pages.post("/recipes/rule", wrong);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("wide");
        assertThat(
                        pages.post("/recipes/delete", Map.of("work", "sheet", "name", "none"))
                                .statusCode())
                .isEqualTo(404);
    }

    @Test
    void recipesAreGivenUsedAndTakenOffOnTheBench() {
        keep("long", new Rule(CutKind.OUTLINE.word(), null, null), "", false);
        long job = makeJob("cleat_backing_plate", "On the bench", 1);
        PageClient pages = new PageClient(port).signedIn("mira");
        String at = "/jobs/%d/cuts/recipes/".formatted(job);
        String hole = jobs.view(job).result().run().stops().get(0).id();
        pages.post(at + "give", Map.of("name", "long", "stop", hole, "step", "1"));
        assertThat(overRun(job, hole)).isEqualTo(2);
        assertThat(overRun(job, "c1.1")).as("by its rule").isEqualTo(2);
        pages.post(at + "drop", Map.of("name", "long", "step", "2"));
        assertThat(overRun(job, hole)).isLessThan(2);
        pages.post(at + "use", Map.of("name", "long", "step", "3"));
        assertThat(overRun(job, hole)).isLessThan(2);
        assertThat(overRun(job, "c1.1")).isEqualTo(2);
        var unknown = pages.post(at + "give", Map.of("name", "nothing", "stop", hole, "step", "4"));
        assertThat(unknown.statusCode()).isEqualTo(404);
    }

    private double overRun(long job, String stop) {
        return jobs.view(job).result().run().stop(stop).orElseThrow().overRun();
    }
}
