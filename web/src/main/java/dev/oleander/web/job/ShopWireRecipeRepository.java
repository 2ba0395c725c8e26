package dev.oleander.web.job;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Recipes for the wire by name. */
interface ShopWireRecipeRepository extends JpaRepository<ShopWireRecipe, String> {

    @Query("select r from ShopWireRecipe r join fetch r.changedBy order by lower(r.name)")
    List<ShopWireRecipe> inOrder();
}
