# frozen_string_literal: true

require "digest"
require "zlib"

module TileLoom
  module Output
    module Pdf
      # Files that travel inside a document (ISO 32000-2, 7.11.4 and 14.13).
      class Attachments
        # name: of the file; media: its type; bytes; relation: Source or Data; words: what it is.
        File = Struct.new(:name, :media, :bytes, :relation, :words, keyword_init: true)

        # files: File list; about: an About, whose date they have.
        def initialize(files, about)
          @files, @about = files, about
        end

        # Members of the catalogue: of its names, and associated files.
        def write(file)
          return {}, {} if @files.empty?
          found = @files.map { |entry| [entry.name, specification(file, entry)] }
          names =
            found.sort_by(&:first).flat_map { |name, reference| [PDF::Core::LiteralString.new(name.b), reference] }
          [{EmbeddedFiles: {Names: names}}, {AF: found.map(&:last)}]
        end

        private

        def specification(file, entry)
          stream =
            file.add(
              {
                Type: :EmbeddedFile,
                Subtype: entry.media.to_sym,
                Params: {
                  Size: entry.bytes.bytesize,
                  CheckSum: PDF::Core::ByteString.new(Digest::MD5.digest(entry.bytes)),
                  ModDate: @about.time
                }.compact
              },
              stream: Zlib::Deflate.deflate(entry.bytes, 6)
            )
          file.add(
            {
              Type: :Filespec,
              F: PDF::Core::LiteralString.new(entry.name.b),
              UF: entry.name,
              Desc: entry.words,
              AFRelationship: entry.relation,
              EF: {
                F: stream,
                UF: stream
              }
            }
          )
        end
      end
    end
  end
end
