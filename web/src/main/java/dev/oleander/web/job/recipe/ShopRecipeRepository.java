package dev.oleander.web.job.recipe;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Recipes by kind of work and name. */
interface ShopRecipeRepository extends JpaRepository<ShopRecipe, ShopRecipe.Key> {

    @Query(
            "select r from ShopRecipe r join fetch r.changedBy order by r.key.work, lower(r.key.name)")
    List<ShopRecipe> inOrder();
}
