# frozen_string_literal: true

module App
  # A feature: its shape in the book's reference, under the spatial index; the original as it came.
  class Feature < ActiveRecord::Base
    belongs_to :layer

    attribute :shape, GeometryType.new
    attribute :properties, :json
  end
end
