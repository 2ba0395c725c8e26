package dev.oleander.web.job.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.atLeast;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import dev.oleander.plan.Recipe;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

class StarterRecipesTest {

    private final ShopRecipes recipes = mock(ShopRecipes.class);
    private final StarterRecipes starters = new StarterRecipes(recipes);

    @Test
    void aNewShopHasSomeForEveryMachineAndNoneIsTakenUpByItself() {
        starters.makeIfNone(null);
        ArgumentCaptor<Work<?, ?>> kind = ArgumentCaptor.captor();
        ArgumentCaptor<Recipe<?>> kept = ArgumentCaptor.captor();
        ArgumentCaptor<ShopRecipe.Use> use = ArgumentCaptor.captor();
        verify(recipes, atLeast(6)).save(kind.capture(), kept.capture(), use.capture(), any());
        assertThat(kind.getAllValues()).containsAll(Kinds.all());
        assertThat(use.getAllValues())
                .noneMatch(ShopRecipe.Use::onNewJobs)
                .extracting(ShopRecipe.Use::process)
                .contains("", "laser", "plasma", "waterjet");
        assertThat(kept.getAllValues())
                .allSatisfy(r -> assertThat(r.choice().isNothing()).isFalse())
                .extracting(Recipe::name)
                .doesNotHaveDuplicates();
    }

    @Test
    void aShopThatHasRecipesKeepsItsOwn() {
        when(recipes.all()).thenReturn(List.of(mock(ShopRecipe.class)));
        starters.makeIfNone(null);
        verify(recipes, never()).save(any(), any(), any(), any());
    }
}
