# frozen_string_literal: true

module App
  # The long part of a change of reference: every feature of the book, from its original into the target,
  # aside. Layers and versions that are set aside go along, so that undo finds them in the book's reference.
  class ReprojectionWork
    BATCH = 2_000
    Original = Struct.new(:feature_id, :name, :wkb)

    def initialize(change) = @change = change

    # Layer id → Box in the target. Stopped when the change is no longer wanted; Refusal names a feature
    # that the target cannot show.
    def shapes
      scale = Book.find(@change.book_id).index.core.scale
      target = TileLoom::Crs::System.find(@change.target, operations: TileLoom::Crs::Operations.new(@change.operations))
      done = 0
      Layer
        .settled(@change.book_id)
        .order(:id)
        .to_h do |layer|
          next layer.id, TileLoom::Raster::Extent.new(layer.prepared.grid, target).box if layer.raster
          reprojector =
            TileLoom::Data::Reprojector.new(
              from: TileLoom::Crs::System.find(layer.original_reference),
              to: target,
              scale: scale
            )
          box = nil
          layer.each_batch(BATCH, :id, :original) do |features|
            raise Stopped unless @change.wanted?
            box = [box, keep(layer, features, reprojector)].compact.reduce { |all, other| all.union(other) }
            @change.update_columns(done: done += features.length)
          end
          [layer.id, box]
        end
    end

    def clear = ReprojectedShape.where(reprojection_id: @change.id).delete_all

    private

    def keep(layer, features, reprojector)
      originals =
        features.map { |identity, id, wkb| Original.new(id, "Feature #{identity} of #{layer.title}", wkb.to_s.b) }
      rows = []
      reprojector.each(originals) do |item, shape|
        raise shape if shape.is_a?(TileLoom::Refusal)
        rows << {reprojection_id: @change.id, feature_id: item.feature_id, shape: shape}
      end
      ReprojectedShape.insert_all(rows)
      TileLoom::Geometry::Geos.extent(rows.map { |row| row[:shape] })
    end
  end
end
