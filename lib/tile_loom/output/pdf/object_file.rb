# frozen_string_literal: true

require "digest"
require "pdf/core"

module TileLoom
  module Output
    module Pdf
      # Writes PDF objects (ISO 32000-2, 7.5) to a stream as they come and remembers only where each
      # one lies, so that a book of any length takes the same memory.
      class ObjectFile
        # version: of the file's head, such as "1.7".
        def initialize(io, version: "1.7")
          @io = io
          @offsets = [0]
          @position = 0
          @digest = Digest::SHA256.new
          put("%PDF-#{version}\n%\xE2\xE3\xCF\xD3\n".b)
        end

        # A number for an object that is written later.
        def reserve
          @offsets << nil
          PDF::Core::Reference.new(@offsets.length - 1, nil)
        end

        # data: what pdf-core can write; stream: bytes already deflated (or coded as its Filter says), or nil.
        def write(reference, data, stream: nil)
          data = {Filter: :FlateDecode}.merge(data).merge(Length: stream.bytesize) if stream
          write_raw(reference, PDF::Core.pdf_object(data), stream: stream)
        end

        # text: the object's own syntax, where pdf-core would round its numbers.
        def write_raw(reference, text, stream: nil)
          @offsets[reference.identifier] = @position
          put("#{reference.identifier} 0 obj\n#{text}\n")
          if stream
            put("stream\n")
            put(stream)
            put("\nendstream\n")
          end
          put("endobj\n")
        end

        # A stream whose bytes stand as they are, such as metadata that programs find without reading PDF.
        def add_plain(data, bytes)
          reserve.tap do |reference|
            write_raw(reference, PDF::Core.pdf_object(data.merge(Length: bytes.bytesize)), stream: bytes.b)
          end
        end

        # What identifies all that is written so far.
        def fingerprint = @digest.hexdigest

        def add(data, stream: nil) = reserve.tap { |reference| write(reference, data, stream: stream) }

        # Writes the cross-reference table and the trailer (ISO 32000-2, 7.5.4 and 7.5.5).
        def close(root:, info:)
          start = @position
          id = PDF::Core::ByteString.new(@digest.digest[0, 16])
          put("xref\n0 #{@offsets.length}\n0000000000 65535 f \n")
          @offsets.drop(1).each { |offset| put(offset ? format("%010d 00000 n \n", offset) : "0000000000 00000 f \n") }
          trailer = {Size: @offsets.length, Root: root, Info: info, ID: [id, id]}
          put("trailer\n#{PDF::Core.pdf_object(trailer)}\nstartxref\n#{start}\n%%EOF\n")
        end

        private

        def put(bytes)
          @io.write(bytes)
          @digest << bytes
          @position += bytes.bytesize
        end
      end
    end
  end
end
