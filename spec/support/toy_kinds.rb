# frozen_string_literal: true

# Kinds that are there for a while, as if files had been added.
module ToyKinds
  # The schema that was made before is forgotten for the while, and after it.
  def with_kind(room, name, kind)
    room.const_set(name, kind)
    forget_schema
    yield
  ensure
    room.send(:remove_const, name)
    forget_schema
  end

  def forget_schema
    schema = TileLoom::Document::Schema
    schema.instance_variables.each { |kept| schema.instance_variable_set(kept, nil) }
  end

  # A filled lozenge in its box.
  def self.element =
    Class.new(TileLoom::Furniture::Element) do
      kind "spot", "Spot", rank: 50
      start "radius_mm" => 4
      part :radius_mm, number(above: 0, most: 50), default: 2.5, about: "From its middle to its corners."

      def nodes(_sheet, box)
        x, y = box.centre
        ring = [x - radius_mm, y, x, y - radius_mm, x + radius_mm, y, x, y + radius_mm]
        [TileLoom::Scene::Path.new(runs: [ring], closed: true, fill: TileLoom::Scene::Fill.new(colour: "#123456"))]
      end
    end

  # FlatGeobuf under another name.
  def self.format =
    Class.new(TileLoom::Data::Format) do
      kind "toy", "Toy", rank: 50
      reads ".toy", drivers: %w[FlatGeobuf]
      writes ".toy", as: ".fgb", type: "application/octet-stream", driver: "FlatGeobuf"
    end

  # Circular strings (well-known binary 8), drawn as strokes.
  def self.layer_kind =
    Class.new(TileLoom::Symbology::LayerKind) do
      kind "curve", "curve", rank: 50
      types 8

      def self.strokes? = true

      def self.symbol(colour) = {"strokes" => [{"colour" => colour}]}
    end

  # One cell about the first feature of the area.
  def self.index_kind =
    Class.new(TileLoom::Index::Generators::Generator) do
      kind "single", "One sheet", rank: 50
      named_by "numbers"

      def cells
        box = TileLoom::Geometry::Geos.extent([features.first.wkb])
        width, height = size.at(*box.centre)
        ground = TileLoom::Geometry::TurnedRectangle.new(*box.centre, width, height, 0.0)
        [[TileLoom::Index::Cell.new(number: 1, name: "1", row: 0, column: 0, scale: @index.scale, ground: ground)], nil]
      end
    end

  # The names of its sheets, a line each.
  def self.form =
    Class.new(TileLoom::Output::Form) do
      kind "names", "names of sheets", rank: 50
      file_name "{{ book.title }}_{{ sheet.name }}"
      about "The name of each sheet by itself, in a text."

      def ending = ".txt"

      def estimate(_press, items) = [items.length * 3, 0.0]

      def make(_press, item, folder, name, secrets: nil)
        File.write(File.join(folder, name), item.name)
        [name]
      end
    end
end
