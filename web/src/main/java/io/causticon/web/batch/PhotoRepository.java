package io.causticon.web.batch;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;

interface PhotoRepository extends JpaRepository<PhotoRow, UUID> {

    /** The small picture, without the large one. */
    @Query("select p.thumbnail from PhotoRow p where p.id = :id")
    Optional<byte[]> thumbnail(@Param("id") UUID id);

    @Query("select p.image from PhotoRow p where p.id = :id")
    Optional<byte[]> image(@Param("id") UUID id);
}
