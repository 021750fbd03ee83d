package lexicor.server.examinations;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;

interface Commands extends JpaRepository<CommandRow, UUID> {

    @EntityGraph(attributePaths = "attempts")
    List<CommandRow> findByExaminationOrderByNumber(UUID examination);

    @EntityGraph(attributePaths = "attempts")
    List<CommandRow> findByExaminationInOrderByNumber(Collection<UUID> examinations);
}
