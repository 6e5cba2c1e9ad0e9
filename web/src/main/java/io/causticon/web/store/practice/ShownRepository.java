package io.causticon.web.store.practice;

import org.springframework.data.jpa.repository.JpaRepository;

interface ShownRepository extends JpaRepository<ShownRow, String> {}
