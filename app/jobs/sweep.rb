# frozen_string_literal: true

require "fileutils"
require "find"

module App
  # Sweeps out what nobody will ask for again, and takes up what was left lying in the middle. Each part says what it
  # did, with numbers, or nothing.
  class Sweep
    # A temporary file this old belongs to no request that runs.
    OLD_S = 24 * 3600

    # beside_work: others are at work meanwhile, so that what came within the last day is left alone.
    def initialize(beside_work: false) = @beside_work = beside_work

    def run =
      [
        uploads,
        books,
        bin,
        arrivals,
        originals,
        expired,
        pages,
        files,
        history,
        layers,
        rasters,
        index_runs,
        enclosures
      ].compact

    # Files of requests whose server was killed. Only in the folder that bin/start gives its children.
    def uploads
      folder = File.join(TileLoom::ROOT, "var/tmp")
      return unless File.directory?(folder)
      found = Dir[File.join(folder, "*")].select { |path| Time.now - File.lstat(path).mtime > OLD_S || !lives?(path) }
      bytes = found.sum { |path| size(path) }
      found.each { |path| FileUtils.rm_rf(path) }
      report(found.length, "temporary file", "removed (#{megabytes(bytes)})")
    end

    # Books that were being made of a file, with no job to go on.
    def books
      return if WorkQueue.jobs(:start_book, :open_book).exists?
      gone = left(Book.where(making: true)).to_a
      gone.each(&:discard)
      report(gone.length, "half-made book", "removed")
    end

    # Books whose days in the bin are over.
    def bin = report(Bin.empty, "book", "deleted for good after #{Bin.days} days in the bin")

    # Files that were to be looked into or brought in, with no job to do it: they get one again, or the reason.
    def arrivals
      waiting = left(Arrival.where(state: %w[inspecting importing])).reject { |arrival| job?(arrival) }
      waiting.each do |arrival|
        if arrival.path && Originals.kept?(arrival.path)
          arrival.enqueue
        else
          arrival.turn(
            "failed",
            reason: "#{arrival.name} did not arrive whole, since the server ended meanwhile; import it again."
          )
        end
      end
      report(waiting.length, "file", "taken up again that an end of the server had left")
    end

    # Originals without an arrival, of one that came to nothing, or of which no layer is left; of a folder alone.
    def originals
      folder = Originals.folder or return
      gone =
        Dir[File.join(folder, "*")].select do |path|
          File.directory?(path) &&
            (arrival = Arrival.find_by(id: File.basename(path).to_i)).then { arrival.nil? || forgotten?(arrival) }
        end
      gone = gone.select { |path| Time.now - File.mtime(path) > 60 }
      bytes = gone.sum { |path| size(path) }
      gone.each { |path| FileUtils.rm_rf(path) }
      report(gone.length, "original", "removed that belong to no import (#{megabytes(bytes)})")
    end

    # Finished runs beyond the days that the operator keeps them for.
    def expired
      days = PressRun.kept_days or return
      gone = PressRun.where(state: PressRun::ENDED).where("finished_at < ?", KeptDays.ago(days)).to_a
      gone.each(&:discard)
      report(gone.length, "run", "deleted with its files, older than #{days} days")
    end

    # Of runs that came to nothing.
    def pages
      count =
        PressPiece
          .where(press_run_id: PressRun.where.not(state: [*PressRun::OPEN, "incomplete"]).select(:id))
          .where.not(pages: nil)
          .update_all(pages: nil)
      report(count, "piece", "of ended runs emptied of its pages")
    end

    # Files of which there is no run; of a folder alone.
    def files
      folder = Finished.folder or return
      named = PressFile.pluck(:place).to_set { |place| File.expand_path(place, folder) }
      gone =
        Dir[File.join(folder, "**/*")].reject do |path|
          File.directory?(path) || named.include?(path) || Time.now - File.mtime(path) < 3600
        end
      bytes = gone.sum { |path| size(path) }
      FileUtils.rm_f(gone)
      report(gone.length, "file", "of no run deleted (#{megabytes(bytes)})")
    end

    # Old steps of histories, merged.
    def history
      count = Book.where(making: false).find_each.sum { |book| HistoryCompaction.new(book).run }
      report(count, "old step", "merged with others in the history of books")
    end

    # Layers that were brought in and that neither the book nor its history names, as of an import that failed.
    def layers
      gone =
        Book.find_each.flat_map do |book|
          left(Layer.where(book_id: book.id, removed: true)).to_a.then do |removed|
            removed.empty? ? [] : unnamed(book, removed)
          end
        end
      features = gone.sum { |layer| FeatureBatch.of(layer).sum(:feature_count) }
      gone.each(&:discard)
      report(gone.length, "removed layer", "with #{features} features deleted, which no history names")
    end

    # Pixels of no layer, as of an import that was cut off.
    def rasters
      gone = Rasters.of_others(Layer.pluck(:id)).select { |path| Time.now - File.mtime(path) > OLD_S }
      bytes = gone.sum { |path| size(path) }
      gone.each { |path| FileUtils.rm_rf(path) }
      report(gone.length, "folder", "of rasters without a layer deleted (#{megabytes(bytes)})")
    end

    def index_runs
      count =
        IndexRun.where.not(state: IndexRun::OPEN).where("updated_at < ?", Time.now.utc - IndexRun::KEPT_S).delete_all
      FileRun.sweep
      report(count, "finished piece of work on an index", "forgotten")
    end

    # Typefaces and pictures that no book, no kept design, no history and no run names.
    def enclosures
      named =
        named_in(Book, "document") | named_in(KeptDesign, "faces", "pictures") |
        named_in(Edit, "operations", "inverse") |
        named_in(PressRun.where(state: [*PressRun::OPEN, "incomplete"]), "document", "later")
      old = Enclosure.where("created_at < ?", Time.now.utc - OLD_S)
      gone = old.pluck(:id, :content).reject { |_, content| named.include?(content) }
      # One that was taken in again meanwhile is old no longer.
      old.where(id: gone.map(&:first)).delete_all
      report(gone.length, "typeface or picture", "deleted that nothing names")
    end

    private

    # Contents that the JSON of these columns names, a few rows at a time, as text.
    def named_in(rows, *columns)
      found = Set.new
      texts = columns.map { |column| Arel.sql("CAST(#{rows.connection.quote_column_name(column)} AS CHAR)") }
      rows.in_batches(of: 20) do |batch|
        batch.pluck(*texts).flatten.compact.each { |text| text.scan(/[0-9a-f]{64}/) { |content| found << content } }
      end
      found
    end

    def forgotten?(arrival) =
      %w[failed cancelled].include?(arrival.state) ||
        (arrival.state == "done" && !Layer.exists?(arrival_id: arrival.id))

    def report(count, what, done) =
      count.zero? ? nil : "#{count} #{what}#{"s" if count > 1 && !what.include?(" or ")}: #{done}."

    def megabytes(bytes) = "#{(bytes / 1024.0**2).round(1)} MB"

    def size(path) = Find.find(path).sum { |file| File.file?(file) ? File.size(file) : 0 }

    # Rack and Tempfile write the number of their process into the name: RackMultipart20261127-1234-abc.
    def lives?(path) =
      File.basename(path)[/\d{8}-(\d+)-/, 1].then { |number| number.nil? || !Processes.began(number).nil? }

    def job?(arrival) = WorkQueue.jobs(*Arrival::JOBS).where(subject_id: arrival.id).exists?

    # Rows that nobody is at work on.
    def left(rows) = @beside_work ? rows.where("updated_at < ?", Time.now.utc - OLD_S) : rows

    def unnamed(book, removed)
      named = book.document["layers"].to_set { |entry| Layer.key_of(entry) }
      book
        .edits
        .touching("layers")
        .select(:id, :operations, :inverse)
        .in_batches(of: 200) { |edits| edits.each { |edit| named.merge(edit.layers_named) } }
      busy = Arrival.where(book_id: book.id, state: "importing").pluck(:id)
      removed.reject { |layer| named.include?([layer.key, layer.version]) || busy.include?(layer.arrival_id) }
    end
  end
end
