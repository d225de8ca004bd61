package hightally.app.trimming;

import org.springframework.data.jpa.repository.JpaRepository;

interface PurposeRepository extends JpaRepository<PurposeEntity, Long> {}
