package org.eskiz.server.transfer;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.util.Enumeration;
import java.util.List;
import java.util.Locale;
import java.util.NoSuchElementException;
import java.util.UUID;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.InvalidRequestException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Files that came in parts. They lie in the database, where any server finds them, until they are taken or a day has passed. */
@Service
class TransferUploads {

    static final int MOST_PARTS = 4096;

    private final JdbcTemplate sql;
    private final WorkshopService workshops;

    TransferUploads(JdbcTemplate sql, WorkshopService workshops) {
        this.sql = sql;
        this.workshops = workshops;
    }

    /** Keeps a part; sent again, it stands in place of what was sent before. */
    @Transactional
    void put(UUID upload, int number, byte[] content) {
        sql.update("delete from transfer_upload where sent_at < now() - interval '1 day'");
        sql.update(
                "insert into transfer_upload (id, workshop_id, sent_at) values (?, ?, now()) on conflict do nothing",
                upload,
                workshops.current());
        sql.update("""
                insert into transfer_upload_part (upload_id, number, content)
                select id, ?, ? from transfer_upload where id = ? and workshop_id = ?
                on conflict (upload_id, number) do update set content = excluded.content""", number, content, upload, workshops.current());
    }

    /** All of it, part after part. */
    InputStream open(UUID upload) {
        List<Integer> numbers = sql.queryForList("""
                select p.number from transfer_upload_part p join transfer_upload u on u.id = p.upload_id
                where u.id = ? and u.workshop_id = ? order by p.number""", Integer.class, upload, workshops.current());
        for (int i = 0; i < numbers.size(); i++) {
            if (numbers.get(i) != i) {
                throw new InvalidRequestException(
                        "uploadId", String.format(Locale.ROOT, "part %d of this file has not come", i));
            }
        }
        if (numbers.isEmpty()) {
            throw new InvalidRequestException("uploadId", "there is no file \"" + upload + "\"");
        }
        return new SequenceInputStream(new Parts(upload, numbers.size()));
    }

    void delete(UUID upload) {
        sql.update("delete from transfer_upload where id = ? and workshop_id = ?", upload, workshops.current());
    }

    private final class Parts implements Enumeration<InputStream> {

        private final UUID upload;
        private final int count;
        private int next;

        Parts(UUID upload, int count) {
            this.upload = upload;
            this.count = count;
        }

        @Override
        public boolean hasMoreElements() {
            return next < count;
        }

        @Override
        public InputStream nextElement() {
            if (!hasMoreElements()) {
                throw new NoSuchElementException();
            }
            byte[] content = sql.queryForObject(
                    "select content from transfer_upload_part where upload_id = ? and number = ?",
                    byte[].class,
                    upload,
                    next++);
            return new ByteArrayInputStream(content);
        }
    }
}
