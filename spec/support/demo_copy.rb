# frozen_string_literal: true

require "fileutils"

# The demo book as it is when it has just been imported, set aside so that it need not be imported anew by each process
# of the specs: its rows in a database beside the own one, its files in a folder beside the store. Ids are those of the
# import, so that one process takes it once: what it keeps in memory goes by ids.
class DemoCopy
  PATIENCE_S = 300

  # connection: Active Record's; store: folder of the store; set_aside: name of the database that holds the copy (its
  # files lie beside the store under that name). The block imports the book.
  def initialize(connection, store:, set_aside:, &import)
    @connection, @store, @set_aside, @import = connection, store, set_aside, import
    @files = File.join(File.dirname(store), set_aside)
  end

  # Into tables that are empty. One process imports it; others wait for that.
  def take
    alone { there? ? copy : made }
  end

  private

  def alone
    @connection.select_value("SELECT GET_LOCK(#{@connection.quote(@set_aside)}, #{PATIENCE_S})")
    yield
  ensure
    @connection.select_value("SELECT RELEASE_LOCK(#{@connection.quote(@set_aside)})")
  end

  # The last thing that is made of it.
  def there? = File.exist?(File.join(@files, "whole"))

  def made
    @import.call
    @connection.execute("DROP DATABASE IF EXISTS #{quoted(@set_aside)}")
    @connection.execute("CREATE DATABASE #{quoted(@set_aside)}")
    tables.each do |table|
      @connection.execute("CREATE TABLE #{aside(table)} LIKE #{quoted(table)}")
      @connection.execute("INSERT INTO #{aside(table)} SELECT * FROM #{quoted(table)}")
    end
    FileUtils.mkdir_p(@files)
    FileUtils.cp_r(@store, File.join(@files, "store")) if File.directory?(@store)
    FileUtils.touch(File.join(@files, "whole"))
  end

  def copy
    @connection.disable_referential_integrity do
      tables.each { |table| @connection.execute("INSERT INTO #{quoted(table)} SELECT * FROM #{aside(table)}") }
    end
    FileUtils.mkdir_p(@store)
    FileUtils.cp_r(File.join(@files, "store/."), @store)
  end

  def tables = @connection.tables - %w[schema_migrations ar_internal_metadata]

  def quoted(name) = @connection.quote_table_name(name)

  def aside(table) = "#{quoted(@set_aside)}.#{quoted(table)}"
end
