# frozen_string_literal: true

require "digest"
require "fileutils"

module App
  # Layers of very many areas or points as they look from afar (TileLoom::Raster::FarPicture), one for each look that a
  # layer has had lately. They are drawn by a job, when a map asks for one that is not there; until then the map shows
  # some of the features, and says that more are to come.
  class FarPictures
    # So many features a map on a screen of so many pixels shows quickly.
    QUICK, SCREEN = 5_000, 988 * 600
    # Of the blocks, so many of a hundred lie no closer than what is reckoned with.
    CLOSE = 95
    MOST_PIXELS = 1_000_000_000
    # Looks of a layer that are kept.
    LOOKS = 3
    # A drawing that was asked for so long ago is asked for again.
    PATIENCE_S = 3600
    VERSION = 1

    # document: a core book; rows: Layer list; whole: is nothing shown by some of its features alone? (A small picture
    # is not asked for again.)
    def initialize(document, rows, whole: false)
      @document, @whole = document, whole
      @rows = rows.to_h { |row| [row.key, row] }
    end

    # What a view shows of a layer where it cannot tell apart so many ground units; nil where its features are drawn.
    def of(layer_id, detail)
      row = @rows[layer_id]
      return nil unless row&.far? && row.extent && [row.extent.width, row.extent.height].max.positive?
      far = Far.new(row, key(layer_id))
      return nil if far.step > detail || far.given_up?
      (@whole && far.picture(detail).nil?) ? nil : far
    end

    # The one of a layer as it looks now.
    def far(layer_id) = Far.new(@rows.fetch(layer_id), key(layer_id))

    private

    # Of the document: what the look of a layer follows from beside itself.
    BESIDE = %w[crs palette markers design_scale].freeze
    # Of a layer: what its own look does not depend on.
    APART = %w[title visible opacity blend labels label_match source description].freeze
    private_constant :BESIDE, :APART

    def key(layer_id)
      entry = @document.settings["layers"].find { |known| known["id"] == layer_id }
      parts = [
        VERSION,
        ProofCache::CODE,
        entry.except(*APART),
        @document.settings.slice(*BESIDE),
        @document.index.scale
      ]
      Digest::SHA256.hexdigest(JSON.generate(parts))[0, 24]
    end

    # One layer with one look.
    class Far
      def initialize(row, key)
        @row, @key = row, key
      end

      # Ground units that a pixel spans.
      def step
        STEPS.fetch([@row.id, @row.edition]) { reckoned }
      end

      # The TileLoom::Raster::FarPicture, or nil while what shows so many ground units as a pixel is not there; then it
      # is asked for.
      def picture(detail)
        return found if found.there?(detail)
        ask
        nil
      end

      # Are all levels drawn?
      def whole? = found.whole?

      # Some of the features in a Box.
      def few(box) = DrawnBlocks.new(@row, FeatureBlock::FEW).features(box)

      def given_up? = File.exist?(File.join(folder, "given-up"))

      # Draws the next level of it. The block gives the SVG of a part, see TileLoom::Raster::FarPicture#draw_next.
      def make(&block)
        return if whole?
        FileUtils.mkdir_p(folder, mode: 0o700)
        blocks = DrawnBlocks.new(@row, 0)
        found.draw_next { |box, side| blocks.any?(box) ? block.call(box, side) : nil }
        forget_others
      end

      # Not tried again with this look.
      def give_up
        FileUtils.mkdir_p(folder, mode: 0o700)
        FileUtils.touch(File.join(folder, "given-up"))
      end

      private

      STEPS = TileLoom::Assets::Readings.new(300)
      private_constant :STEPS

      def all = File.join(Rasters.folder(@row.id), "far-#{@row.edition}")

      def folder = File.join(all, @key)

      def found = @found ||= TileLoom::Raster::FarPicture.new(folder, @row.extent, step)

      def ask
        FileUtils.mkdir_p(folder, mode: 0o700)
        asked = File.join(folder, "asked")
        return if File.exist?(asked) && Time.now - File.mtime(asked) < PATIENCE_S
        FileUtils.touch(asked)
        WorkQueue.put(:far_picture, @row.id, turn: Turn::COARSE)
      rescue SystemCallError
        nil
      end

      # By how close the features lie where they lie close; no finer than a picture of so many pixels.
      def reckoned
        densities =
          FeatureBlock
            .of(@row)
            .pluck(:feature_count, :min_x, :min_y, :max_x, :max_y)
            .filter_map { |count, *sides| area(*sides).then { |area| area.positive? ? count / area : nil } }
            .sort
        close = densities[(densities.length - 1) * CLOSE / 100]
        extent = @row.extent
        [
          close ? Math.sqrt(QUICK / close / SCREEN) : 0.0,
          Math.sqrt(area(*extent.to_a) / MOST_PIXELS),
          [extent.width, extent.height].max / LONGEST_PX
        ].max
      end

      # What lies along a line takes up a strip about it.
      def area(west, south, east, north)
        width, height = east - west, north - south
        least = [width, height].max / STRIP
        [width, least].max * [height, least].max
      end

      STRIP, LONGEST_PX = 20.0, 60_000.0
      private_constant :STRIP, :LONGEST_PX

      def forget_others
        Dir[File.join(Rasters.folder(@row.id), "far-*")].each { |other| FileUtils.rm_rf(other) if other != all }
        Dir[File.join(all, "*")]
          .sort_by { |other| -File.mtime(other).to_f }
          .drop(LOOKS)
          .each { |other| FileUtils.rm_rf(other) }
      end
    end
  end
end
