package io.causticon.web.account;

import org.springframework.data.jpa.repository.JpaRepository;

interface WorkshopRepository extends JpaRepository<Workshop, Integer> {}
