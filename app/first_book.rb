# frozen_string_literal: true

module App
  # A new book out of one GeoJSON file: a sober layout, an index over its features.
  class FirstBook
    # text: GeoJSON; reference: a code, or nothing for the UTM zone that the data lies in.
    def initialize(text:, name:, reference: nil, scale: 2500, title: nil)
      @text, @name, @scale = text, name, TileLoom::Units::Number.tidy(scale)
      @title = title.to_s.strip.empty? ? name : title.strip[0, 200]
      @crs = TileLoom::Reference::Crs.find(reference.to_s.strip.empty? ? suggested : reference).for_fixed_scale!(path: "/reference")
    end

    # The kept App::Book; Invalid where the data or a value does not do.
    def make
      reader = TileLoom::Ground::GeojsonReader.from_text(@text, target: @crs)
      key = TileLoom::Book::Starter.id_for(@name, [])
      settings = TileLoom::Book::Starter.document(title: @title, reference: @crs.code, area: key, scale: @scale, layers: [{id: key, title: @name, kind: "area"}])
      TileLoom::Book::Check.demand(settings)
      keep(settings, reader, key)
    end

    private

    def keep(settings, reader, key)
      ActiveRecord::Base.transaction do
        book = NewBook.new(settings).create
        LayerImport.new(book).keep(reader, key: key, title: @name, name: @name)
        book.reload.tap(&:weave)
      end
    end

    def suggested
      west, south, east, north = Look.new(@text).box
      TileLoom::Reference::Utm.code((west + east) / 2, (south + north) / 2)
    end
  end
end
