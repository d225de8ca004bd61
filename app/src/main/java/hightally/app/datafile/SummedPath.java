package hightally.app.datafile;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Path;
import org.h2.store.fs.FileBase;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * The way by which the database reaches its file: {@code sums:} before its name keeps {@link Sums}
 * of the file beside it.
 */
public final class SummedPath extends FilePathWrapper {
  private static final String SCHEME = "sums";
  private static final String DATA = ".mv.db";

  /** Makes it known to the database. */
  public static void register() {
    FilePath.register(new SummedPath());
  }

  @Override
  public String getScheme() {
    return SCHEME;
  }

  @Override
  public FileChannel open(String mode) throws IOException {
    FileChannel data = super.open(mode);
    return getBase().toString().endsWith(DATA) && !mode.equals("r")
        ? new Summed(data, Path.of(getBase().toString()).resolveSibling(Sums.NAME))
        : data;
  }

  /** A file of which each write is noted, written, summed. */
  private static final class Summed extends FileBase {
    private final FileChannel data;
    private final Path beside;
    private Sums sums;

    Summed(FileChannel data, Path beside) {
      this.data = data;
      this.beside = beside;
    }

    /** Opened with the first write, which only the one that holds the lock does. */
    private Sums sums() throws IOException {
      if (sums == null) {
        sums = Sums.open(beside, data);
      }
      return sums;
    }

    @Override
    public synchronized int write(ByteBuffer part, long at) throws IOException {
      int length = part.remaining();
      sums().writing(data, at, length);
      long to = at;
      while (part.hasRemaining()) {
        to += data.write(part, to);
      }
      sums.wrote(data, at, length);
      return length;
    }

    @Override
    public synchronized int write(ByteBuffer part) throws IOException {
      long at = data.position();
      int length = write(part, at);
      data.position(at + length);
      return length;
    }

    @Override
    public synchronized FileChannel truncate(long length) throws IOException {
      sums().writing(data, Math.min(length, data.size()), Math.max(0, data.size() - length));
      data.truncate(length);
      sums.cut(data.size());
      return this;
    }

    @Override
    public int read(ByteBuffer into, long at) throws IOException {
      return data.read(into, at);
    }

    @Override
    public int read(ByteBuffer into) throws IOException {
      return data.read(into);
    }

    @Override
    public long position() throws IOException {
      return data.position();
    }

    @Override
    public FileChannel position(long at) throws IOException {
      data.position(at);
      return this;
    }

    @Override
    public long size() throws IOException {
      return data.size();
    }

    @Override
    public void force(boolean metaData) throws IOException {
      data.force(metaData);
    }

    @Override
    public FileLock tryLock(long at, long length, boolean shared) throws IOException {
      return data.tryLock(at, length, shared);
    }

    @Override
    protected synchronized void implCloseChannel() throws IOException {
      data.close();
      if (sums != null) {
        sums.close();
      }
    }

    @Override
    public String toString() {
      return data.toString();
    }
  }
}
