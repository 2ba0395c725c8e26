package dev.oleander.web.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import dev.oleander.plan.Recipe;
import dev.oleander.work.wire.plan.WireRecipe;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

class StarterRecipesTest {

    private final ShopRecipes recipes = mock(ShopRecipes.class);
    private final WireRecipes wires = mock(WireRecipes.class);
    private final StarterRecipes starters = new StarterRecipes(recipes, wires);

    @Test
    void aNewShopHasSomeForEveryMachineAndNoneIsTakenUpByItself() {
        starters.makeIfNone(null);
        ArgumentCaptor<Recipe> kept = ArgumentCaptor.forClass(Recipe.class);
        ArgumentCaptor<String> process = ArgumentCaptor.forClass(String.class);
        verify(recipes, org.mockito.Mockito.atLeast(4))
                .save(kept.capture(), process.capture(), eq(false), any());
        assertThat(process.getAllValues()).contains(null, "laser", "plasma", "waterjet");
        assertThat(kept.getAllValues())
                .allSatisfy(r -> assertThat(r.choice().isNothing()).isFalse())
                .extracting(Recipe::name)
                .doesNotHaveDuplicates();
        ArgumentCaptor<WireRecipe> wire = ArgumentCaptor.forClass(WireRecipe.class);
        verify(wires, org.mockito.Mockito.atLeast(2)).save(wire.capture(), any());
        assertThat(wire.getAllValues()).allMatch(r -> !r.choice().isNothing());
    }

    @Test
    void aShopThatHasRecipesKeepsItsOwn() {
        when(recipes.all()).thenReturn(List.of(mock(ShopRecipe.class)));
        starters.makeIfNone(null);
        verify(recipes, never()).save(any(), any(), anyBoolean(), any());
        verify(wires, never()).save(any(), any());
    }
}
