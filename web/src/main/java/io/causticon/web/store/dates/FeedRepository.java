package io.causticon.web.store.dates;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface FeedRepository extends JpaRepository<FeedRow, String> {

    Optional<FeedRow> findByTokenHash(String tokenHash);
}
