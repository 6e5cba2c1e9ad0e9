package io.causticon.web.practice;

import org.springframework.data.jpa.repository.JpaRepository;

interface ShownRepository extends JpaRepository<ShownRow, String> {}
