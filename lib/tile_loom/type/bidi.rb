# frozen_string_literal: true

require "ffi"

module TileLoom
  module Type
    # In which direction the parts of a text run and in which order they stand (Unicode Standard Annex 9), by FriBidi.
    module Bidi
      # What of FriBidi's C interface is needed.
      module Library
        extend FFI::Library

        ffi_lib "libfribidi.so.0"

        attach_function :fribidi_get_bidi_types, %i[pointer int pointer], :void
        attach_function :fribidi_get_bracket_types, %i[pointer int pointer pointer], :void
        attach_function :fribidi_get_par_embedding_levels_ex, %i[pointer pointer int pointer pointer], :int8
      end

      # FRIBIDI_PAR_ON: by the first letter that has a direction (rules P2 and P3). FRIBIDI_PAR_RTL.
      BY_CONTENT, RIGHT_TO_LEFT = 0x40, 0x111
      # Characters without which a text runs from left to right all through: letters of the right-to-left scripts, and
      # the controls that change the direction.
      ANY =
        /[\u0590-\u08FF\u200E\u200F\u202A-\u202E\u2066-\u2069\uFB1D-\uFDFF\uFE70-\uFEFC\u{10800}-\u{10FFF}\u{1E800}-\u{1EFFF}]/

      module_function

      # Level of each character; odd ones run from right to left.
      def levels(string)
        return Array.new(string.length, 0) unless string.match?(ANY)
        count = string.length
        text = FFI::MemoryPointer.new(:uint32, count).write_array_of_uint32(string.codepoints)
        types, brackets = Array.new(2) { FFI::MemoryPointer.new(:uint32, count) }
        base = FFI::MemoryPointer.new(:uint32).write_uint32(BY_CONTENT)
        found = FFI::MemoryPointer.new(:int8, count)
        Library.fribidi_get_bidi_types(text, count, types)
        Library.fribidi_get_bracket_types(text, count, types, brackets)
        Library.fribidi_get_par_embedding_levels_ex(types, brackets, count, base, found)
        trailing(string, found.read_array_of_int8(count), (base.read_uint32 == RIGHT_TO_LEFT) ? 1 : 0)
      end

      # Rule L1: spaces at the end of a line run as the paragraph does.
      def trailing(string, levels, base)
        spaces = string[/\s*\z/].length
        levels.each_with_index.map { |level, index| (index >= levels.length - spaces) ? base : level }
      end

      # Rule L2: parts of a line, given with their levels in the order of the text, in the order in which they stand.
      def visual(parts, levels)
        order = parts.each_index.to_a
        (levels.max || 0).downto(1) do |level|
          order =
            order
              .chunk_while { |one, other| (levels[one] >= level) == (levels[other] >= level) }
              .flat_map { |chunk| (levels[chunk.first] >= level) ? chunk.reverse : chunk }
        end
        order.map { |index| parts[index] }
      end
    end
  end
end
