# frozen_string_literal: true

require "ffi"

module TileLoom
  module Type
    # Glyphs and their advances with kerning, by HarfBuzz, which browsers set text with too. Ligatures are
    # left out, so that a glyph stands for a character and tracking works.
    class Shaper
      # What of HarfBuzz's C interface is needed.
      module Library
        extend FFI::Library

        ffi_lib "libharfbuzz.so.0"

        # hb_feature_t
        class Feature < FFI::Struct
          layout :tag, :uint32, :value, :uint32, :start, :uint, :end, :uint
        end

        attach_function :hb_blob_create, %i[pointer uint int pointer pointer], :pointer
        attach_function :hb_face_create, %i[pointer uint], :pointer
        attach_function :hb_font_create, [:pointer], :pointer
        attach_function :hb_buffer_create, [], :pointer
        attach_function :hb_buffer_reset, [:pointer], :void
        attach_function :hb_buffer_add_utf8, %i[pointer pointer int uint int], :void
        attach_function :hb_buffer_guess_segment_properties, [:pointer], :void
        attach_function :hb_shape, %i[pointer pointer pointer uint], :void
        attach_function :hb_buffer_get_glyph_infos, %i[pointer pointer], :pointer
        attach_function :hb_buffer_get_glyph_positions, %i[pointer pointer], :pointer
      end

      # glyph: its number in the face; advance: in font units; cluster: byte of the string it begins at.
      Glyph = Struct.new(:glyph, :advance, :cluster)

      OFF = %w[liga clig calt dlig].freeze
      # hb_glyph_info_t and hb_glyph_position_t are both five 32-bit words.
      WORDS = 5
      LOCK = Mutex.new

      # HB_MEMORY_MODE_READONLY: the bytes stay ours.
      READ_ONLY = 1

      # bytes: of a font file.
      def initialize(bytes)
        @bytes = FFI::MemoryPointer.new(:char, bytes.bytesize).put_bytes(0, bytes)
        @font = Library.hb_font_create(Library.hb_face_create(Library.hb_blob_create(@bytes, bytes.bytesize, READ_ONLY, nil, nil), 0))
        @buffer = Library.hb_buffer_create
        @features = features
      end

      # Glyph list of a string, left to right.
      def shape(string)
        return [] if string.empty?
        LOCK.synchronize { shaped(string.encode(Encoding::UTF_8)) }
      end

      private

      def shaped(text)
        bytes = FFI::MemoryPointer.new(:char, text.bytesize).put_bytes(0, text.b)
        Library.hb_buffer_reset(@buffer)
        Library.hb_buffer_add_utf8(@buffer, bytes, text.bytesize, 0, text.bytesize)
        Library.hb_buffer_guess_segment_properties(@buffer)
        Library.hb_shape(@font, @buffer, @features, OFF.length)
        count = FFI::MemoryPointer.new(:uint)
        infos = Library.hb_buffer_get_glyph_infos(@buffer, count)
        places = Library.hb_buffer_get_glyph_positions(@buffer, count)
        number = count.read_uint
        infos = infos.read_array_of_uint32(number * WORDS)
        places = places.read_array_of_int32(number * WORDS)
        Array.new(number) { |index| Glyph.new(infos[index * WORDS], places[index * WORDS], infos[index * WORDS + 2]) }
      end

      def features
        memory = FFI::MemoryPointer.new(Library::Feature, OFF.length)
        OFF.each_with_index do |name, index|
          feature = Library::Feature.new(memory + index * Library::Feature.size)
          feature[:tag] = name.bytes.reduce(0) { |sum, byte| (sum << 8) | byte }
          feature[:value], feature[:start], feature[:end] = 0, 0, 0xffffffff
        end
        memory
      end
    end
  end
end
