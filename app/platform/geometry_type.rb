# frozen_string_literal: true

module App
  # Well-known binary in a GEOMETRY column. MariaDB keeps and takes geometries as four bytes of
  # spatial reference number (0 here: the book's own plane) before the well-known binary.
  class GeometryType < ActiveRecord::Type::Binary
    PREFIX = [0].pack("V").freeze
    PREFIX_HEX = PREFIX.unpack1("H*").freeze

    def deserialize(value)
      bytes = super
      bytes && bytes.to_s.b.byteslice(4..)
    end

    def serialize(value) = value && super(PREFIX + value.b)
  end
end
