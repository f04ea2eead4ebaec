# frozen_string_literal: true

module App
  # All files of a run as one zip, streamed: a body for Rack.
  class RunArchive
    # Hands on pieces of this size.
    PIECE_BYTES = 256 * 1024

    def initialize(run) = @run = run

    def each(&block)
      buffer = +"".b
      sink = Sink.new(buffer, block)
      archive = TileLoom::Output::Archive.new(sink, date: @run.core_document.parsed_date)
      @run.files.each { |file| add(archive, file) }
      archive.close
      sink.flush
    end

    # What the archive writes into.
    Sink =
      Struct.new(:buffer, :target) do
        def <<(bytes)
          buffer << bytes
          flush if buffer.bytesize >= PIECE_BYTES
          self
        end

        def flush
          target.call(buffer.dup) unless buffer.empty?
          buffer.clear
        end
      end

    private

    def add(archive, file)
      io = Finished.open(file.place)
      archive.add(file.name, io)
    ensure
      io&.close
    end
  end
end
