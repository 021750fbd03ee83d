package lexicor.server.backup;

import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Lets what is due be done in the background. */
@Configuration
@EnableScheduling
class BackupSchedule {}
