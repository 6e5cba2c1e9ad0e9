package io.causticon.web.store.recipe;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DraftRepository extends JpaRepository<DraftRow, UUID> {

    Optional<DraftRow> findByIdAndMaker(UUID id, String maker);

    Optional<DraftRow> findFirstByMakerAndRecipeIdOrderByChangedAtDesc(String maker, UUID recipe);

    List<DraftRow> findByMakerAndRecipeIdIsNullOrderByChangedAtDesc(String maker);
}
