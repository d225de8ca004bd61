package hightally.app.coach;

import org.springframework.data.jpa.repository.JpaRepository;

interface WishesRepository extends JpaRepository<WishesEntity, Long> {}
