package hightally.app.datafile;

import java.io.Closeable;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.zip.CRC32;

/**
 * A sum for each block of a data file, in a file of its own beside it. What is about to be written
 * is noted first, so that a process killed in between leaves only those blocks in doubt, which the
 * database checks itself.
 *
 * <p>Big-endian: 0 the mark, 8 whether it is closed (0) or open (1), 12 bytes spare, 16 where and
 * 24 how long the write under way is (0: none), 32 bytes of the data file, 40 writes in all, 48 the
 * newest state written, 8 bytes spare; from 64 on the CRC-32 of each block of 4096 bytes.
 */
final class Sums implements Closeable {
  static final String NAME = "high-tally.sums";
  static final int BLOCK = 4096;

  private static final long MARK = 0x4869546c53756d31L;
  private static final int HEAD = 64;
  private static final int STATE_AT = 8;
  private static final int WRITING_AT = 16;
  private static final int SIZE_AT = 32;
  private static final int VERSION_AT = 48;
  private static final int CLOSED = 0;
  private static final int OPEN = 1;
  private static final int ENTRY = Integer.BYTES;

  private final FileChannel channel;
  private int[] sums = new int[0];
  private boolean wellClosed = true;
  private long writingAt;
  private long writingLength;
  private long size;
  private long writes;
  private long version;

  private Sums(FileChannel channel) {
    this.channel = channel;
  }

  /** What is beside a data file, only to be looked at; null where there is nothing of the kind. */
  static Sums look(Path beside) throws IOException {
    if (!Files.isRegularFile(beside)) {
      return null;
    }
    Sums found = new Sums(null);
    ByteBuffer all = ByteBuffer.wrap(Files.readAllBytes(beside));
    return found.read(all) ? found : null;
  }

  /** Opens them to be kept; made of the file as it is where there were none. */
  static Sums open(Path beside, FileChannel data) throws IOException {
    Sums known = look(beside);
    Sums opened =
        new Sums(
            FileChannel.open(
                beside,
                StandardOpenOption.CREATE,
                StandardOpenOption.READ,
                StandardOpenOption.WRITE));
    if (known == null) {
      opened.wrote(data, 0, data.size());
    } else {
      opened.sums = known.sums;
      opened.size = known.size;
      opened.writes = known.writes;
      opened.version = known.version;
      opened.wrote(data, known.writingAt, known.writingLength);
      opened.size = data.size();
    }
    opened.head(OPEN);
    return opened;
  }

  private boolean read(ByteBuffer all) {
    if (all.remaining() < HEAD || all.getLong(0) != MARK) {
      return false;
    }
    wellClosed = all.getInt(STATE_AT) == CLOSED;
    writingAt = all.getLong(WRITING_AT);
    writingLength = all.getLong(WRITING_AT + Long.BYTES);
    size = all.getLong(SIZE_AT);
    writes = all.getLong(SIZE_AT + Long.BYTES);
    version = all.getLong(VERSION_AT);
    sums = new int[(all.remaining() - HEAD) / ENTRY];
    all.position(HEAD).slice().asIntBuffer().get(sums);
    return true;
  }

  /** What is about to be written, once nothing before it is in doubt any more. */
  void writing(FileChannel data, long at, long length) throws IOException {
    if (writingLength > 0) {
      wrote(data, writingAt, writingLength);
    }
    writingAt = at;
    writingLength = length;
    ByteBuffer part = ByteBuffer.allocate(2 * Long.BYTES);
    part.putLong(at).putLong(length).flip();
    fully(part, WRITING_AT);
  }

  /** What was written: the sums of its blocks, then that nothing is under way. */
  void wrote(FileChannel data, long at, long length) throws IOException {
    size = Math.max(size, data.size());
    int first = (int) (at / BLOCK);
    int last = (int) ((at + length + BLOCK - 1) / BLOCK);
    if (sums.length < last) {
      sums = Arrays.copyOf(sums, Math.max(last, 1024));
    }
    ByteBuffer block = ByteBuffer.allocate(BLOCK);
    ByteBuffer changed = ByteBuffer.allocate((last - first) * ENTRY);
    for (int i = first; i < last; i++) {
      sums[i] = sum(data, i, block);
      version = Math.max(version, DataFile.version(block.rewind()));
      changed.putInt(sums[i]);
    }
    fully(changed.flip(), HEAD + (long) first * ENTRY);
    writes++;
    writingLength = 0;
    head(OPEN);
  }

  /** The file was cut to a length. */
  void cut(long length) throws IOException {
    size = length;
    writingLength = 0;
    head(OPEN);
  }

  private void head(int state) throws IOException {
    ByteBuffer head = ByteBuffer.allocate(HEAD);
    head.putLong(0, MARK).putInt(STATE_AT, state);
    head.putLong(SIZE_AT, size).putLong(SIZE_AT + Long.BYTES, writes).putLong(VERSION_AT, version);
    fully(head, 0);
  }

  private void fully(ByteBuffer part, long at) throws IOException {
    long to = at;
    while (part.hasRemaining()) {
      to += channel.write(part, to);
    }
  }

  private static int sum(FileChannel data, int block, ByteBuffer into) throws IOException {
    into.clear();
    long at = (long) block * BLOCK;
    while (into.hasRemaining() && data.read(into, at + into.position()) > 0) {
      // Until the block or the file ends.
    }
    CRC32 crc = new CRC32();
    crc.update(into.flip());
    return (int) crc.getValue();
  }

  /** Whether a file is what was written, but for what a killed process had under way. */
  boolean fit(Path file) throws IOException {
    try (FileChannel data = FileChannel.open(file, StandardOpenOption.READ)) {
      long most = Math.max(size, writingAt + writingLength);
      if (data.size() > most || data.size() < Math.min(size, most)) {
        return false;
      }
      ByteBuffer block = ByteBuffer.allocate(BLOCK);
      int blocks = (int) ((size + BLOCK - 1) / BLOCK);
      for (int i = 0; i < blocks; i++) {
        long at = (long) i * BLOCK;
        boolean inDoubt =
            writingLength > 0 && at + BLOCK > writingAt && at < writingAt + writingLength;
        if (!inDoubt && (i >= sums.length || sums[i] != sum(data, i, block))) {
          return false;
        }
      }
      return true;
    }
  }

  boolean wellClosed() {
    return wellClosed;
  }

  /** The newest state that was written. */
  long version() {
    return version;
  }

  @Override
  public void close() throws IOException {
    if (writingLength == 0) {
      head(CLOSED);
    }
    channel.close();
  }
}
