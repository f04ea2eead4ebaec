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

        # hb_*_t that is ours, released when nothing holds it any more. (What is made of another holds that itself.)
        class Owned < FFI::AutoPointer
          def self.release(pointer) = Library.public_send(:"hb_#{name[/\w+\z/].downcase}_destroy", pointer)
        end

        Blob = Class.new(Owned)
        Face = Class.new(Owned)
        Font = Class.new(Owned)
        Buffer = Class.new(Owned)
        %i[blob face font buffer].each { |name| attach_function :"hb_#{name}_destroy", [:pointer], :void }

        attach_function :hb_blob_create, %i[pointer uint int pointer pointer], Blob
        attach_function :hb_face_create, %i[pointer uint], Face
        attach_function :hb_font_create, [:pointer], Font
        attach_function :hb_buffer_create, [], Buffer
        attach_function :hb_buffer_reset, [:pointer], :void
        attach_function :hb_buffer_add_utf8, %i[pointer pointer int uint int], :void
        attach_function :hb_buffer_set_direction, %i[pointer int], :void
        attach_function :hb_buffer_set_script, %i[pointer uint32], :void
        attach_function :hb_buffer_set_cluster_level, %i[pointer int], :void
        attach_function :hb_unicode_funcs_get_default, [], :pointer
        attach_function :hb_unicode_script, %i[pointer uint32], :uint32
        attach_function :hb_buffer_guess_segment_properties, [:pointer], :void
        attach_function :hb_shape, %i[pointer pointer pointer uint], :void
        attach_function :hb_buffer_get_glyph_infos, %i[pointer pointer], :pointer
        attach_function :hb_buffer_get_glyph_positions, %i[pointer pointer], :pointer

        # Outlines of glyphs: hb_draw_funcs_t and what it calls, with places in font units.
        callback :to_place, %i[pointer pointer pointer float float pointer], :void
        callback :to_curve, %i[pointer pointer pointer float float float float pointer], :void
        callback :to_cubic, %i[pointer pointer pointer float float float float float float pointer], :void
        callback :to_close, %i[pointer pointer pointer pointer], :void
        attach_function :hb_draw_funcs_create, [], :pointer
        attach_function :hb_draw_funcs_set_move_to_func, %i[pointer to_place pointer pointer], :void
        attach_function :hb_draw_funcs_set_line_to_func, %i[pointer to_place pointer pointer], :void
        attach_function :hb_draw_funcs_set_quadratic_to_func, %i[pointer to_curve pointer pointer], :void
        attach_function :hb_draw_funcs_set_cubic_to_func, %i[pointer to_cubic pointer pointer], :void
        attach_function :hb_draw_funcs_set_close_path_func, %i[pointer to_close pointer pointer], :void
        # hb_glyph_extents_t: the box of a glyph's ink in font units, y up; the height is negative.
        class Extents < FFI::Struct
          layout :x_bearing, :int32, :y_bearing, :int32, :width, :int32, :height, :int32
        end
        attach_function :hb_font_get_glyph_extents, %i[pointer uint32 pointer], :int
        attach_function :hb_font_get_glyph_shape, %i[pointer uint32 pointer pointer], :void
      end

      # glyph: its number in the face; advance, and by how much it is off its place to the right and up: in font units;
      # text: the characters that it stands for, none where another glyph stands for them with it.
      Glyph = Struct.new(:glyph, :advance, :x_offset, :y_offset, :text)

      # hb_direction_t; HB_BUFFER_CLUSTER_LEVEL_MONOTONE_CHARACTERS, by which marks are told apart from their letters.
      LEFT_TO_RIGHT, RIGHT_TO_LEFT, BY_CHARACTERS = 4, 5, 1
      # ISO 15924: signs of no script of their own (Zyyy), marks (Zinh), unknown (Zzzz).
      SHARED = %w[Zyyy Zinh Zzzz].map { |code| code.unpack1("N") }.freeze

      # The script of a character, as HarfBuzz tags it.
      def self.script(codepoint) = Library.hb_unicode_script(Library.hb_unicode_funcs_get_default, codepoint)

      OFF = %w[liga clig calt dlig].freeze
      # hb_glyph_info_t and hb_glyph_position_t are both five 32-bit words.
      WORDS = 5
      LOCK = Mutex.new

      # HB_MEMORY_MODE_READONLY: the bytes stay ours.
      READ_ONLY = 1

      # bytes: of a font file.
      def initialize(bytes)
        @bytes = FFI::MemoryPointer.new(:char, bytes.bytesize).put_bytes(0, bytes)
        @font =
          Library.hb_font_create(
            Library.hb_face_create(Library.hb_blob_create(@bytes, bytes.bytesize, READ_ONLY, nil, nil), 0)
          )
        @buffer = Library.hb_buffer_create
        @features = features
      end

      # Glyph list of a string, left to right, of a part of it where start and length (bytes) say so: its neighbours
      # shape it too, as letters that join. rtl: does it run from right to left? script: a tag, or nil to go by what it
      # holds.
      def shape(string, start: 0, length: string.bytesize, rtl: false, script: nil)
        return [] if string.empty?
        LOCK.synchronize { shaped(string.encode(Encoding::UTF_8), start, length, rtl, script) }
      end

      # The outline of a glyph: a list of [:move, :line, :quadratic, :cubic or :close, coordinates in font units].
      def outline(glyph)
        LOCK.synchronize do
          @outline = []
          Library.hb_font_get_glyph_shape(@font, glyph, pens, nil)
          @outline
        end
      end

      # [lowest, highest] of the ink of a glyph in font units, y up; nil where it has none.
      def ink(glyph)
        LOCK.synchronize do
          box = @extents ||= Library::Extents.new
          next nil if Library.hb_font_get_glyph_extents(@font, glyph, box).zero? || box[:height].zero?
          [box[:y_bearing] + box[:height], box[:y_bearing]]
        end
      end

      private

      # hb_draw_funcs_t that writes down what it is called with; its functions stay as long as the shaper does.
      def pens
        @pens ||=
          begin
            @functions = {
              move: ->(_, _, _, *to, _) { @outline << [:move, to] },
              line: ->(_, _, _, *to, _) { @outline << [:line, to] },
              quadratic: ->(_, _, _, *to, _) { @outline << [:quadratic, to] },
              cubic: ->(_, _, _, *to, _) { @outline << [:cubic, to] },
              close: ->(*) { @outline << [:close, []] }
            }
            Library.hb_draw_funcs_create.tap do |functions|
              @functions.each do |name, function|
                ending = (name == :close) ? "close_path" : "#{name}_to"
                Library.public_send(:"hb_draw_funcs_set_#{ending}_func", functions, function, nil, nil)
              end
            end
          end
      end

      def shaped(text, start, length, rtl, script)
        bytes = FFI::MemoryPointer.new(:char, text.bytesize).put_bytes(0, text.b)
        Library.hb_buffer_reset(@buffer)
        Library.hb_buffer_set_cluster_level(@buffer, BY_CHARACTERS)
        Library.hb_buffer_add_utf8(@buffer, bytes, text.bytesize, start, length)
        Library.hb_buffer_set_direction(@buffer, rtl ? RIGHT_TO_LEFT : LEFT_TO_RIGHT)
        Library.hb_buffer_set_script(@buffer, script) if script
        Library.hb_buffer_guess_segment_properties(@buffer)
        Library.hb_shape(@font, @buffer, @features, OFF.length)
        glyphs(text, start + length)
      end

      # From the buffer; behind: the byte after the part that was shaped.
      def glyphs(text, behind)
        count = FFI::MemoryPointer.new(:uint)
        infos = Library.hb_buffer_get_glyph_infos(@buffer, count)
        places = Library.hb_buffer_get_glyph_positions(@buffer, count)
        number = count.read_uint
        infos = infos.read_array_of_uint32(number * WORDS)
        places = places.read_array_of_int32(number * WORDS)
        texts = texts(text, Array.new(number) { |index| infos[index * WORDS + 2] }, behind)
        Array.new(number) do |index|
          Glyph.new(
            infos[index * WORDS],
            places[index * WORDS],
            places[index * WORDS + 2],
            places[index * WORDS + 3],
            texts[index]
          )
        end
      end

      # What each glyph stands for: its cluster's characters, at the first glyph of the cluster.
      def texts(text, clusters, behind)
        ends = (clusters.uniq.sort + [behind]).each_cons(2).to_h
        seen = {}
        clusters.map do |cluster|
          seen[cluster] ? "" : (seen[cluster] = text.byteslice(cluster...ends.fetch(cluster)))
        end
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
