# frozen_string_literal: true

require "ffi"

module TileLoom
  module Type
    # Fonts of fewer characters, by HarfBuzz: with kerning and all else that the characters are shaped by.
    module Subset
      # What of libharfbuzz-subset's C interface is needed.
      module Library
        extend FFI::Library

        ffi_lib "libharfbuzz-subset.so.0", "libharfbuzz.so.0"
        attach_function :hb_subset_input_create_or_fail, [], :pointer
        attach_function :hb_subset_input_destroy, [:pointer], :void
        attach_function :hb_subset_input_unicode_set, [:pointer], :pointer
        attach_function :hb_subset_input_glyph_set, [:pointer], :pointer
        attach_function :hb_subset_input_set_flags, %i[pointer uint], :void
        attach_function :hb_set_add, %i[pointer uint32], :void
        attach_function :hb_subset_or_fail, %i[pointer pointer], :pointer
        attach_function :hb_blob_create, %i[pointer uint int pointer pointer], :pointer
        attach_function :hb_blob_destroy, [:pointer], :void
        attach_function :hb_blob_get_data, %i[pointer pointer], :pointer
        attach_function :hb_face_create, %i[pointer uint], :pointer
        attach_function :hb_face_reference_blob, [:pointer], :pointer
        attach_function :hb_face_destroy, [:pointer], :void
      end

      module_function

      # bytes: of a font file; characters: a String of them. Returns the bytes of the smaller font, or the same where it
      # cannot be made.
      def of(bytes, characters) = made(bytes) { |input| add(input, :unicode_set, characters.codepoints) }

      # Of glyphs by their numbers, which stay as they are; the first face of a collection.
      def of_glyphs(bytes, glyphs)
        made(bytes) do |input|
          Library.hb_subset_input_set_flags(input, RETAIN_GIDS)
          add(input, :glyph_set, glyphs)
        end
      end

      # HB_SUBSET_FLAGS_RETAIN_GIDS
      RETAIN_GIDS = 2

      def add(input, set, numbers)
        wanted = Library.public_send(:"hb_subset_input_#{set}", input)
        numbers.each { |number| Library.hb_set_add(wanted, number) }
      end

      def made(bytes)
        memory = FFI::MemoryPointer.new(:char, bytes.bytesize).put_bytes(0, bytes)
        blob = Library.hb_blob_create(memory, bytes.bytesize, Shaper::READ_ONLY, nil, nil)
        face = Library.hb_face_create(blob, 0)
        input = Library.hb_subset_input_create_or_fail
        yield input
        small = Library.hb_subset_or_fail(face, input)
        small.null? ? bytes : bytes_of(small)
      ensure
        Library.hb_subset_input_destroy(input) if input
        Library.hb_face_destroy(face) if face
        Library.hb_blob_destroy(blob) if blob
      end

      def bytes_of(face)
        blob = Library.hb_face_reference_blob(face)
        length = FFI::MemoryPointer.new(:uint)
        Library.hb_blob_get_data(blob, length).read_bytes(length.read_uint)
      ensure
        Library.hb_blob_destroy(blob) if blob
        Library.hb_face_destroy(face)
      end
    end
  end
end
