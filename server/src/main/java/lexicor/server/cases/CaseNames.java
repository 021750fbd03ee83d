package lexicor.server.cases;

import java.util.Collection;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.server.audit.SubjectNames;
import org.springframework.stereotype.Component;

/** Cases by their codes. */
@Component
class CaseNames implements SubjectNames {

    private final CaseFiles files;

    CaseNames(CaseFiles files) {
        this.files = files;
    }

    @Override
    public Map<UUID, String> of(Collection<UUID> ids) {
        return files.findAllById(ids).stream().collect(Collectors.toMap(CaseFile::id, CaseFile::code));
    }
}
