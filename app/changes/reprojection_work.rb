# frozen_string_literal: true

module App
  # The long part of a change of reference: every feature of the book, from its original into the target,
  # aside: as the next edition of its layer. Layers and versions that are set aside go along, so that undo finds them in
  # the book's reference.
  class ReprojectionWork
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
          FeatureBatch.each_kept(layer, shapes: true) do |batch|
            raise Stopped unless @change.wanted?
            bring(layer, batch, reprojector, blocks)
            @change.update_columns(done: done += batch.length)
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

    def bring(layer, batch, reprojector, blocks)
      title = layer.title
      originals =
        batch.map do |own|
          Original.new(own.identity, "Feature #{own.identity} of #{title}", own.original, own.properties)
        end
      reprojector.each(originals) do |item, shape|
        raise shape if shape.is_a?(TileLoom::Refusal)
        blocks.add(item.id, shape, item.attributes)
      end
    end
  end
end
