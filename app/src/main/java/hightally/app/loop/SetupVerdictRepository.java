package hightally.app.loop;

import org.springframework.data.jpa.repository.JpaRepository;

interface SetupVerdictRepository extends JpaRepository<SetupVerdictEntity, String> {}
