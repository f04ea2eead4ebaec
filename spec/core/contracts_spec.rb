# frozen_string_literal: true

# What members of the house have in common is published in spec/support/contracts/; each member passes it here, toy
# ones among them, which have nothing but what the contract asks for.
RSpec.describe "The contract" do
  include ToyKinds

  core = File.join(TileLoom::ROOT, "lib/tile_loom")
  # Groups of examples, one for each kind of a room, and one for a toy that is there while an example runs.
  def self.each_kind(room, toy, &examples)
    [*room.all.values, toy].each do |kind|
      describe kind.title do
        let(:kind) { kind }
        around { |example| (kind == toy) ? with_kind(room, :Toy, toy) { example.run } : example.run }
        class_exec(kind, &examples)
      end
    end
  end

  def crs = TileLoom::Crs::System.find("EPSG:25829")

  def squares =
    [
      rectangle(402_000, 6_528_000, 402_100, 6_528_100, id: 1, attributes: {"name" => "Moss"}),
      rectangle(402_050, 6_528_050, 402_300, 6_528_200, id: 2, attributes: {"name" => "Fen"}),
      rectangle(403_000, 6_529_000, 403_100, 6_529_050, id: 3, attributes: {"name" => "Carr"})
    ]

  describe "of a source" do
    let(:layer_id) { "area" }

    describe TileLoom::Data::MemorySource do
      let(:source) { described_class.new("area" => squares) }

      it_behaves_like "a source of features"
    end

    describe TileLoom::Data::WindowedLayer do
      let(:source) { TileLoom::Data::MemorySource.new.tap { |source| source.take("area", layer) } }
      let(:layer) do
        described_class.new(
          count: 3,
          extent: TileLoom::Geometry::Geos.extent(squares.map(&:wkb)),
          names: %w[name],
          readings: readings
        )
      end
      # What a file would give.
      let(:readings) do
        read = ->(box) { TileLoom::Data::MemoryLayer.new(squares).features(box) }
        block_file =
          Struct.new(:list, :count) do
            define_method(:features) { |box = nil| TileLoom::Data::MemoryLayer.new(list).features(box) }
          end
        Class
          .new do
            define_method(:kept?) { |_box| false }
            define_method(:fetch) { |box| read.call(box).then { |list| block_file.new(list, list.length) } }
          end
          .new
      end

      it_behaves_like "a source of features"
    end

    # As a view of another UTM zone sees them: boxes are met nearly.
    describe TileLoom::Data::Elsewhere do
      let(:slack) { 60.0 }
      let(:source) do
        other = TileLoom::Crs::System.find("EPSG:25830")
        described_class.new(TileLoom::Data::MemorySource.new("area" => squares)) do
          TileLoom::Crs::Passages::Plane.new(crs, other, 0.05)
        end
      end

      it_behaves_like "a source of features"
    end

    describe "a toy" do
      let(:source) do
        layers = {"area" => squares}
        meet = ->(feature, box) do
          box.nil? ||
            TileLoom::Geometry::Geos
              .extent([feature.wkb])
              .then do |own|
                own.min_x <= box.max_x && box.min_x <= own.max_x && own.min_y <= box.max_y && box.min_y <= own.max_y
              end
        end
        Class
          .new do
            define_method(:features) do |id, box, detail: nil|
              layers.fetch(id, []).select { |feature| meet.call(feature, box) }
            end
            define_method(:count) { |id, box| features(id, box).length }
            define_method(:extent) { |id| layers[id]&.then { |list| TileLoom::Geometry::Geos.extent(list.map(&:wkb)) } }
            define_method(:attribute_names) { |id| layers.key?(id) ? %w[name] : [] }
            define_method(:telling_field) { |id| "name" if layers.key?(id) }
            define_method(:raster) { |_id| nil }
          end
          .new
      end

      it_behaves_like "a source of features"
    end
  end

  describe "of a sheet" do
    let(:book) { demo_of(linked_settings) }
    let(:source) { HandingOn.ground }
    let(:cells) { book.cells(source) }

    describe TileLoom::Compose::SheetComposer do
      let(:sheet) { described_class.new(book: book, source: source, cell: cells.first, count: cells.length) }

      it_behaves_like "a sheet"
    end

    describe TileLoom::Compose::IndexSheetComposer do
      let(:sheet) { described_class.new(book: book, source: source, count: cells.length) }

      it_behaves_like "a sheet"
    end

    describe "an arrow's toy" do
      include GridViews

      # What a north arrow asks of a sheet: the book's date, and what its frame looks at.
      let(:sheet) do
        dated = Struct.new(:parsed_date, :crs, :layers).new(Date.new(2026, 4, 1), crs, [])
        Struct
          .new(:book, :view, :source) { def norths = TileLoom::View::Norths.new(view, book.parsed_date) }
          .new(dated, view, TileLoom::Data::MemorySource.new)
      end

      it_behaves_like "a sheet", %i[book]
    end

    # Rooms below compose, which know a sheet by what they ask of it alone.
    below = %w[furniture frames view bar coordinate_grid map_legend table layout index symbology labelling conditions]
    asked =
      Dir["#{core}/{#{below.join(",")}}/**/*.rb"].to_h do |path|
        [path.delete_prefix("#{core}/"), SentMessages.of(File.read(path), "sheet")]
      end
    published = SheetContract::ROLES.values.flat_map(&:keys)
    # In text that a template fills in, or of what is no page: a sheet's name in a message.
    own = %i[to_s nil? ! == class]

    it "holds all that rooms below send to it" do
      unpublished =
        asked.flat_map do |path, sent|
          sent.except(*published, *own).map { |message, lines| "#{path}:#{lines.first} asks a sheet for #{message}" }
        end
      expect(unpublished).to eq([])
    end

    it "holds nothing that no room asks for" do
      expect(published - asked.values.flat_map(&:keys)).to eq([])
    end

    it "is told when a room asks for more" do
      sent = SentMessages.of("def nodes(sheet, box) = sheet.page.width_mm + @sheet.whole_book.pages(sheet)", "sheet")
      expect(sent.keys).to contain_exactly(:page, :whole_book)
    end
  end

  describe "of an element" do
    let(:book) { demo_of(linked_settings) }
    let(:cells) { book.cells(HandingOn.ground) }
    let(:on_index) do
      TileLoom::Compose::IndexSheetComposer.new(book: book, source: HandingOn.ground, count: cells.length)
    end
    let(:on_cell) do
      TileLoom::Compose::SheetComposer.new(book: book, source: HandingOn.ground, cell: cells[6], count: cells.length)
    end

    each_kind(TileLoom::Furniture::Elements, ToyKinds.element) do |kind|
      let(:sheet) { kind.refused_on.key?("sheets") ? on_index : on_cell }

      it_behaves_like "a kind of element"
    end
  end

  describe "of a kind of index" do
    let(:source) { TileLoom::Data::MemorySource.new("area" => squares, "way" => [way]) }
    let(:way) do
      line = TileLoom::Geometry::Wkb.line([402_000.0, 6_528_000.0, 402_900.0, 6_528_300.0])
      TileLoom::Data::Feature.new(id: 1, wkb: line, attributes: {"name" => "Way"})
    end
    let(:index) do
      TileLoom::Index::Spec.new(
        {"kind" => kind.key, "area" => (kind.key == "strip") ? "way" : "area", "scale" => 2500},
        path: "/index"
      )
    end

    each_kind(TileLoom::Index::Generators, ToyKinds.index_kind) do
      it_behaves_like "a kind of index"
    end
  end

  describe "of a kind of layer" do
    each_kind(TileLoom::Symbology::LayerKinds, ToyKinds.layer_kind) do
      it_behaves_like "a kind of layer"
    end
  end

  describe "of a format" do
    each_kind(TileLoom::Data::Formats, ToyKinds.format) do
      it_behaves_like "a format of features"
    end
  end

  describe "of a form" do
    each_kind(TileLoom::Output::Forms, ToyKinds.form) do
      let(:press) { press_of({"form" => {"kind" => kind.key}, "sheets" => "B2", "ppi" => 72}) }

      it_behaves_like "a form of a book"
    end
  end
end
