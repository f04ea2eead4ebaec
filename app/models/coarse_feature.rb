# frozen_string_literal: true

module App
  # A feature as a map that is zoomed out shows it; see TileLoom::Data::Generalisation.
  class CoarseFeature < ActiveRecord::Base
    belongs_to :layer

    attribute :shape, GeometryType.new
    attribute :properties, :json
  end
end
