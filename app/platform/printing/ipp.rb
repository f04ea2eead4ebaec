# frozen_string_literal: true

module App
  # Messages of the Internet Printing Protocol (RFC 8010): a head, groups of attributes, and the document.
  module Ipp
    VERSION = [2, 0].freeze
    # Operations and states (RFC 8011).
    PRINT_JOB, GET_JOB, GET_PRINTER = 0x0002, 0x0009, 0x000b
    OK, NOT_FOUND, BAD_REQUEST = 0x0000, 0x0406, 0x0400
    JOB_PENDING, JOB_STOPPED, JOB_COMPLETED = 3, 6, 9
    PRINTER_IDLE, PRINTER_STOPPED = 3, 5
    # Groups.
    OPERATION, JOB, ENDING, PRINTER = 0x01, 0x02, 0x03, 0x04
    # Tags of values.
    TAGS = {
      integer: 0x21,
      boolean: 0x22,
      enum: 0x23,
      name: 0x42,
      keyword: 0x44,
      uri: 0x45,
      charset: 0x47,
      language: 0x48,
      media: 0x49
    }.freeze
    NUMBERS = [TAGS[:integer], TAGS[:enum]].freeze

    # code: of the operation or the status; groups: {group → {name → value}}; document: bytes.
    Message = Struct.new(:code, :id, :groups, :document, keyword_init: true)

    module_function

    # groups: {group → {name → [kind, value]}}
    def write(code, id, groups, document = "")
      out = [*VERSION, code, id].pack("CCnN")
      {OPERATION => {}}.merge(groups)
        .each do |group, attributes|
          out << [group].pack("C")
          if group == OPERATION
            attributes = {
              "attributes-charset" => [:charset, "utf-8"],
              "attributes-natural-language" => [:language, "en"]
            }.merge(attributes)
          end
          attributes.each { |name, (kind, value)| out << attribute(name, kind, value) }
        end
      out << [ENDING].pack("C") << document
    end

    def attribute(name, kind, value)
      bytes =
        case kind
        when :integer, :enum
          [value].pack("N")
        when :boolean
          [value ? 1 : 0].pack("C")
        else
          value.to_s.b[0, 1023]
        end
      [TAGS.fetch(kind), name.bytesize].pack("Cn") << name.b << [bytes.bytesize].pack("n") << bytes
    end

    # A Message, or nil for what is none.
    def read(bytes)
      return nil if bytes.bytesize < 9
      _, _, code, id = bytes.unpack("CCnN")
      at, groups, group = 8, {}, nil
      loop do
        tag = bytes.getbyte(at) or return nil
        at += 1
        break if tag == ENDING
        next group = (groups[tag] ||= {}) if tag < 0x10
        name, value, at = value_at(bytes, at, tag) || (return nil)
        group[name] = value unless group.nil? || name.empty?
      end
      Message.new(code: code, id: id, groups: groups, document: bytes.byteslice(at..))
    end

    def value_at(bytes, at, tag)
      name_length = bytes.byteslice(at, 2)&.unpack1("n") or return nil
      name = bytes.byteslice(at + 2, name_length)
      at += 2 + name_length
      length = bytes.byteslice(at, 2)&.unpack1("n") or return nil
      value = bytes.byteslice(at + 2, length)
      value =
        if NUMBERS.include?(tag)
          value.unpack1("N")
        else
          ((tag == TAGS[:boolean]) ? value == "\x01".b : value.force_encoding(Encoding::UTF_8).scrub)
        end
      [name, value, at + 2 + length]
    end
  end
end
