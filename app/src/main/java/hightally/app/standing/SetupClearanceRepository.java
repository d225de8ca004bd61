package hightally.app.standing;

import org.springframework.data.jpa.repository.JpaRepository;

interface SetupClearanceRepository extends JpaRepository<SetupClearanceEntity, String> {}
