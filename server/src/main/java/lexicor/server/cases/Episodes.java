package lexicor.server.cases;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;

interface Episodes extends JpaRepository<Episode, UUID> {

    List<Episode> findByCaseFileIdOrderByOpenedAtDesc(UUID caseId);

    Optional<Episode> findFirstByCaseFileIdAndRegionAndSideOrderByOpenedAtDesc(
            UUID caseId, String region, Affected side);

    @EntityGraph(attributePaths = "caseFile")
    List<Episode> findByIdIn(Collection<UUID> ids);
}
