package dev.oleander.web.job;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Recipes by name. */
interface ShopRecipeRepository extends JpaRepository<ShopRecipe, String> {

    @Query("select r from ShopRecipe r join fetch r.changedBy order by lower(r.name)")
    List<ShopRecipe> inOrder();
}
