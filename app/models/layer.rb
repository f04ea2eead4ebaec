# frozen_string_literal: true

module App
  # The data of a layer of a book, whose looks stand in the book's document. Removing a layer keeps its features, so
  # that undo can bring it back; an update from a file makes a new row, a version of the same key, and sets the one
  # before aside.
  class Layer < ActiveRecord::Base
    belongs_to :book
    # name → type of the attributes (TileLoom::Data::AttributeTypes); nil where not known.
    attribute :fields, :json
    # [[level, tolerance in reference units], …], the coarsest last: TileLoom::Data::Generalisation.
    attribute :coarse_levels, :json
    # Of a layer of pixels, what is known of them (TileLoom::Raster::Facts); nil where they did not come along.
    attribute :raster, :json
    # Of a layer of pixels, what was said of the file that they came from (TileLoom::Symbology::Layer::DATA).
    attribute :source, :json

    # The key and the version of the row that an entry of a document names.
    def self.key_of(entry) = [entry["id"], entry.fetch("version", 1)]

    # Its entry in the book's document; where it is set aside, that of the version that is not; nil where there is none.
    def entry = book.entry(key)

    # By its key where the book does not name it.
    def title = entry&.fetch("title") || key

    ROWS_AT_ONCE = 200
    private_constant :ROWS_AT_ONCE

    # Deletes it with its features, a batch at a time, so that no statement runs long.
    def discard
      [FeatureBatch, FeatureBlock].each do |rows|
        nil while rows.where(layer_id: id).limit(ROWS_AT_ONCE).delete_all.positive?
      end
      Rasters.drop(id)
      destroy!
    end

    def pixels? = kind == "pixels"

    # kind → of fewer features it is drawn as it is on any screen.
    MANY = {"area" => 20_000, "point" => 5_000}.freeze

    # Is it shown on the screen by what was drawn of it before, where it is seen from afar (App::FarPictures)?
    def far? = MANY.key?(kind) && feature_count > MANY[kind]

    # What its pixels are drawn from: its own, or tiles that are asked for.
    def drawn
      tiles = entry && entry["tiles"] or return prepared
      TileLoom::Raster::Tiles::Pyramid.new(TileLoom::Raster::Tiles::Source.new(tiles), TileCache.fetch, title)
    end

    # The TileLoom::Raster::Prepared of its pixels, or nil.
    def prepared = raster && TileLoom::Raster::Prepared.new(Rasters.folder(id), TileLoom::Raster::Facts.new(raster))

    # Makes a layer of pixels of a book, without any yet.
    def self.of_pixels(book, key:, original_reference: book.reference, **own)
      create!(
        book_id: book.id,
        key: key,
        kind: "pixels",
        original_reference: original_reference,
        feature_count: 0,
        **own
      )
    end

    # All but those that an import is filling at this moment: it brings them in the book's reference by itself.
    def self.settled(book_id) =
      where(book_id: book_id).where.not(
        id:
          where(
            book_id: book_id,
            removed: true,
            arrival_id: Arrival.where(book_id: book_id, state: "importing").select(:id)
          ).select(:id)
      )

    # Yields each feature as a GeoJSON Feature with its identity, in the book's reference, in the order that they came
    # in; a few batches at a time are in memory.
    def each_geojson
      return enum_for(:each_geojson) unless block_given?
      ShapesInOrder.open(self) do |shapes|
        FeatureBatch.each_kept(self) do |batch|
          batch.each do |feature|
            TileLoom::Pulse.step
            yield(
              TileLoom::Geometry::Geojson.feature(feature.identity, feature.properties, shapes.fetch(feature.identity))
            )
          end
        end
      end
    end

    # Its features before they were brought to the book's reference or mended: another reference or a mended ring is no
    # change of the data. TileLoom::Data::Difference::Row list.
    def as_they_came
      FeatureBatch
        .each_kept(self, shapes: true)
        .flat_map do |batch|
          batch.map { |own| TileLoom::Data::Difference::Row.new(own.properties, Digest::MD5.digest(own.original)) }
        end
    end

    # A TileLoom::Data::Reprojector of its features as they came. target: a Crs::System with the book's operations;
    # scale: that edges in degrees are bent for.
    def reprojector(target, scale) =
      TileLoom::Data::Reprojector.new(from: TileLoom::Crs::System.find(original_reference), to: target, scale: scale)

    # A TileLoom::Geometry::Box, or nil while it holds nothing.
    def extent = min_x && TileLoom::Geometry::Box.new(min_x, min_y, max_x, max_y)

    # The columns that keep a Box.
    def self.bounds(box) = box ? {min_x: box.min_x, min_y: box.min_y, max_x: box.max_x, max_y: box.max_y} : {}
  end
end
