package lexicor.server.settings;

import lexicor.server.evidence.SecondPerson;
import org.springframework.stereotype.Component;

/** What the clinic has decided about its ledger. */
@Component
class LedgerSetting implements SecondPerson {

    private final ClinicSettings settings;

    LedgerSetting(ClinicSettings settings) {
        this.settings = settings;
    }

    @Override
    public boolean needed() {
        return settings.now().choice(SettingNames.Listed.SECOND_PERSON).equals("yes");
    }
}
