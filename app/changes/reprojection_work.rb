# frozen_string_literal: true

module App
  # The long part of a change of reference: every feature of the book, from its original into the target,
  # aside: as the next edition of its layer. Layers and versions that are set aside go along, so that undo finds them in
  # the book's reference.
  class ReprojectionWork
    BATCH = 2_000
    Original = Struct.new(:id, :name, :wkb, :attributes)

    def initialize(change) = @change = change

    # Layer id → Box in the target. Stopped when the change is no longer wanted; Refusal names a feature
    # that the target cannot show.
    def shapes
      scale = Book.find(@change.book_id).index.core.scale
      target = TileLoom::Crs::System.find(@change.target, operations: TileLoom::Crs::Operations.new(@change.operations))
      done = 0
      layers
        .order(:id)
        .to_h do |layer|
          next layer.id, TileLoom::Raster::Extent.new(layer.prepared.grid, target).box if layer.raster
          blocks = TileLoom::Data::BlockBuilder.new
          reprojector = layer.reprojector(target, scale)
          layer.each_batch(BATCH, :original, :properties) do |rows|
            raise Stopped unless @change.wanted?
            bring(layer, rows, reprojector, blocks)
            @change.update_columns(done: done += rows.length)
          end
          FeatureBlock.keep(layer, blocks, edition: layer.edition + 1)
          [layer.id, blocks.box]
        end
    end

    # What was made and is not drawn goes.
    def clear =
      layers.each { |layer| FeatureBlock.where(layer_id: layer.id).where.not(edition: layer.edition).delete_all }

    private

    def layers = Layer.settled(@change.book_id)

    def bring(layer, rows, reprojector, blocks)
      title = layer.title
      originals =
        rows.map do |identity, wkb, properties|
          Original.new(identity, "Feature #{identity} of #{title}", wkb.to_s.b, properties)
        end
      reprojector.each(originals) do |item, shape|
        raise shape if shape.is_a?(TileLoom::Refusal)
        blocks.add(item.id, shape, item.attributes)
      end
    end
  end
end
