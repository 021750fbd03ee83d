package lexicor.server.examinations.record;

import java.util.Collection;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.server.audit.SubjectNames;
import org.springframework.stereotype.Component;

/** Examinations by the code of their case and what was examined. */
@Component
class ExaminationNames implements SubjectNames {

    private final Examinations examinations;

    ExaminationNames(Examinations examinations) {
        this.examinations = examinations;
    }

    @Override
    public Map<UUID, String> of(Collection<UUID> ids) {
        return examinations.findByIdIn(ids).stream()
                .collect(Collectors.toMap(ExaminationRow::getId, ExaminationNames::name));
    }

    private static String name(ExaminationRow row) {
        return row.caseFile().code() + ", " + row.side().name().toLowerCase(Locale.ROOT) + " " + row.region();
    }
}
