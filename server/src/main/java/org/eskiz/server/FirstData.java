package org.eskiz.server;

import org.eskiz.server.catalogue.BuiltInLoader;
import org.eskiz.server.operator.Demo;
import org.eskiz.server.operator.WorkshopService;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/**
 * What has to be in the database before the first request: the catalogue, and the demo unless it is not wanted. In a
 * database that several servers share the catalogue is brought up apart, as the schema is ({@link MigrateStep}).
 */
@Component
class FirstData implements ApplicationRunner {

    private final BuiltInLoader catalogue;
    private final Demo demo;
    private final WorkshopService workshops;
    private final boolean ownDatabase;
    private final boolean demoWanted;

    FirstData(
            BuiltInLoader catalogue,
            Demo demo,
            WorkshopService workshops,
            @Value("${eskiz.own-database}") boolean ownDatabase,
            @Value("${eskiz.demo}") boolean demoWanted) {
        this.catalogue = catalogue;
        this.demo = demo;
        this.workshops = workshops;
        this.ownDatabase = ownDatabase;
        this.demoWanted = demoWanted;
    }

    @Override
    public void run(ApplicationArguments args) {
        workshops.byItself(() -> {
            if (ownDatabase) {
                catalogue.load();
            } else {
                catalogue.require();
            }
            if (demoWanted) {
                demo.loadOnce();
            }
        });
    }
}
