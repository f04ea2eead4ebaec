# frozen_string_literal: true

require "digest"
require "fileutils"
require "securerandom"
require "tmpdir"
require_relative "shell"

module Setup
  # Who may into the embedded database: an account of Tile Loom's own with a password that is made here and lies in
  # a file for this user alone. root comes in through the socket, without a password and as root of the system only;
  # the socket lies in a folder for this user alone.
  class DatabaseAccount
    NAME = "tile_loom"
    # A socket's path is limited by the system.
    LONGEST_SOCKET = 100

    attr_reader :folder

    # folder: for password, socket and the rest; made where it is missing, closed to others where it is open.
    def initialize(folder) = @folder = folder

    def prepare
      [folder, outfiles].each { |path| FileUtils.mkdir_p(path, mode: 0o700) && FileUtils.chmod(0o700, path) }
      write(secret, SecureRandom.hex(24)) unless File.size?(secret)
      FileUtils.chmod(0o600, secret)
      write(statements_file, "#{statements.join("\n")}\n")
    end

    # The file that holds the password.
    def secret = File.join(folder, "password")

    def password = File.read(secret).strip

    # The server writes files nowhere but here, and here nobody reads them.
    def outfiles = File.join(folder, "empty")

    def socket
      path = File.join(folder, "server.sock")
      return path if path.bytesize <= LONGEST_SOCKET
      File
        .join(Dir.tmpdir, "tile-loom-#{Process.uid}-#{Digest::SHA256.hexdigest(folder)[0, 16]}")
        .tap { |short| FileUtils.mkdir_p(short, mode: 0o700) && FileUtils.chmod(0o700, short) } + "/server.sock"
    end

    # What the server carries out at every start, so that a data folder of an earlier version is brought to it.
    def statements_file = File.join(folder, "accounts.sql")

    # A file of options for MariaDB's programs, yielded; the password stands in no list of processes.
    def self.options(host:, port:, user:, password:)
      Dir.mktmpdir("tile-loom-options") do |place|
        file = File.join(place, "options.cnf")
        quoted = password.to_s.gsub(/["\\]/) { |char| "\\#{char}" }
        lines = ["[client]", "host=#{host}", "port=#{port}", "user=#{user}", "password=\"#{quoted}\""]
        File.write(file, [*lines, "default-character-set=utf8mb4", ""].join("\n"), perm: 0o600)
        yield file
      end
    end

    # Runs SQL with such options; returns what it prints, a row a line, tab-separated. name: of the database, or nil.
    def self.ask(options, sql, name, doing:)
      command = ["mariadb", "--defaults-file=#{options}", "--batch", "--skip-column-names", "-e", sql, name]
      Shell.run(*command.compact, doing: doing)
    end

    private

    def statements
      account = "'#{NAME}'@'127.0.0.1'"
      [
        "CREATE USER IF NOT EXISTS #{account} IDENTIFIED BY '#{password}';",
        "ALTER USER #{account} IDENTIFIED BY '#{password}';",
        "GRANT ALL ON `tile\\_loom%`.* TO #{account};",
        "CREATE USER IF NOT EXISTS 'root'@'localhost' IDENTIFIED VIA unix_socket;",
        "ALTER USER 'root'@'localhost' IDENTIFIED VIA unix_socket;",
        "DELETE FROM mysql.global_priv WHERE User = '' OR (User = 'root' AND Host <> 'localhost');",
        "FLUSH PRIVILEGES;"
      ]
    end

    def write(file, text) = File.open(file, File::WRONLY | File::CREAT | File::TRUNC, 0o600) { |io| io.write(text) }
  end
end
