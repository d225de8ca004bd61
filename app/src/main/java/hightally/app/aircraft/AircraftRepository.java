package hightally.app.aircraft;

import org.springframework.data.jpa.repository.JpaRepository;

interface AircraftRepository extends JpaRepository<AircraftEntity, Long> {}
