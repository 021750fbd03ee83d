package lexicor.server.cases;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CaseStandings extends JpaRepository<CaseStanding, UUID> {

    /** Of all cases, latest first. */
    @Query(nativeQuery = true, value = """
            select * from case_standing
            where (:state = '' or state = :state) and (:region = '' or region = :region)
            order by last_at desc offset :from rows fetch first :most rows only""")
    List<CaseStanding> page(String state, String region, int from, int most);

    @Query(
            nativeQuery = true,
            value =
                    "select count(*) from case_standing where (:state = '' or state = :state) and (:region = '' or region = :region)")
    long countOf(String state, String region);

    /**
     * The visit has a further command: its summary is to be made anew. Visits before the latest leave the list as it
     * is.
     */
    @Modifying
    @Query(
            "update CaseStanding standing set standing.lastNumber = :number, standing.lastAt = :at where standing.caseId = :caseId and standing.examinationId = :examination")
    void grew(UUID caseId, UUID examination, long number, Instant at);

    /** The summary is to be made anew although the record has not grown. */
    @Modifying
    @Query(
            "update CaseStanding standing set standing.knows = -1, standing.lastAt = :at where standing.caseId = :caseId and standing.examinationId = :examination")
    void changed(UUID caseId, UUID examination, Instant at);

    /** Examinations whose summary is behind the record. */
    @Query(
            "select standing.examinationId from CaseStanding standing where standing.knows < standing.lastNumber or standing.knows < 0 order by standing.lastAt desc")
    List<UUID> behind(Limit limit);

    /** The summary as it was made from the record up to a command; a newer one stays. */
    @Modifying
    @Query("""
            update CaseStanding standing set standing.state = :state, standing.done = :done, standing.total = :total, standing.knows = :knows
            where standing.examinationId = :examination and standing.knows <= :knows""")
    void summed(UUID examination, long knows, VisitState state, int done, int total);

    @Query("select standing from CaseStanding standing where standing.caseId in :cases order by standing.lastAt desc")
    List<CaseStanding> of(List<UUID> cases, Limit limit);
}
