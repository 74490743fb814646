package org.eskiz.server.operator;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.WeakHashMap;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Tells the database for whom a connection is used (V14): it shows rows of that workshop only, and writes down who did what.
 * Where nobody is at work it shows none.
 */
@Configuration(proxyBeanMethods = false)
class WorkshopConnections {

    @Bean
    static BeanPostProcessor connectionsOfWorkshops() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource pool && !(bean instanceof Telling) ? new Telling(pool) : bean;
            }
        };
    }

    private static final class Telling extends DelegatingDataSource {

        private static final String TELL =
                "select set_config('eskiz.workshop', ?, false), set_config('eskiz.operator', ?, false)";

        /** What each connection of the pool was told last. */
        private final Map<Connection, Optional<AtWork>> told = Collections.synchronizedMap(new WeakHashMap<>());

        Telling(DataSource pool) {
            super(pool);
        }

        @Override
        public Connection getConnection() throws SQLException {
            Connection connection = super.getConnection();
            try {
                tell(connection);
                return connection;
            } catch (SQLException e) {
                connection.close();
                throw e;
            }
        }

        private void tell(Connection connection) throws SQLException {
            Connection own = connection.unwrap(Connection.class);
            Optional<AtWork> now = AtWork.present();
            if (now.equals(told.get(own))) {
                return;
            }
            try (PreparedStatement statement = connection.prepareStatement(TELL)) {
                statement.setString(1, now.map(a -> a.workshop().toString()).orElse(""));
                statement.setString(
                        2,
                        now.map(AtWork::operator)
                                .filter(operator -> !operator.equals(AtWork.NOBODY))
                                .map(UUID::toString)
                                .orElse(""));
                statement.execute();
            }
            told.put(own, now);
        }
    }
}
