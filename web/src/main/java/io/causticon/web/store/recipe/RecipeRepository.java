package io.causticon.web.store.recipe;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RecipeRepository extends JpaRepository<RecipeRow, UUID> {

    List<RecipeRow> findByRetiredOrderByName(boolean retired);
}
