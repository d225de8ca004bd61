package hightally.app.aircraft;

import org.springframework.data.jpa.repository.JpaRepository;

interface RevisionDocumentRepository extends JpaRepository<RevisionDocumentEntity, Long> {}
