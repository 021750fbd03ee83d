package lexicor.server.cases;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CaseStandings extends JpaRepository<CaseStanding, UUID> {

    /** Of all cases, latest first. */
    @Query(nativeQuery = true, value = """
            select * from case_standing
            where (:state = '' or state = :state) and (:region = '' or region = :region)
            order by last_at desc offset :from rows fetch first :most rows only""")
    List<CaseStanding> page(String state, String region, int from, int most);

    @Query(nativeQuery = true, value = "select count(*) from case_standing where (:state = '' or state = :state) and (:region = '' or region = :region)")
    long countOf(String state, String region);

    @Query("select standing from CaseStanding standing where standing.caseId in :cases order by standing.lastAt desc")
    List<CaseStanding> of(List<UUID> cases, Limit limit);
}
