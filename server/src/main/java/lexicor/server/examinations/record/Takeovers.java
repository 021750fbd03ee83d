package lexicor.server.examinations.record;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Takeovers extends JpaRepository<TakeoverRow, UUID> {

    List<TakeoverRow> findByExaminationInOrderByOrdinal(Collection<UUID> examinations);
}
