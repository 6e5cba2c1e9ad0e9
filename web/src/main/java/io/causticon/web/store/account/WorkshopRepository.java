package io.causticon.web.store.account;

import org.springframework.data.jpa.repository.JpaRepository;

interface WorkshopRepository extends JpaRepository<Workshop, Integer> {}
