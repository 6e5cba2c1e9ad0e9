package io.causticon.web.store.recipe;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VersionRepository extends JpaRepository<VersionRow, UUID> {

    Optional<VersionRow> findFirstByRecipeIdOrderByNumberDesc(UUID recipeId);

    Optional<VersionRow> findByRecipeIdAndNumber(UUID recipeId, int number);

    List<VersionRow> findByRecipeIdOrderByNumberDesc(UUID recipeId);
}
